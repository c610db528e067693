/** What a change would do, in words, before it is made. May know changes, findings and what is below them. */
@NullMarked
package app.matsuri.core.proposal;

import org.jspecify.annotations.NullMarked;
