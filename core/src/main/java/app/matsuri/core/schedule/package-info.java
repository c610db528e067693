/** Everything that follows from decisions: sessions, placements, resolved dates, what is to be told. May know flow and what is below it. */
@NullMarked
package app.matsuri.core.schedule;

import org.jspecify.annotations.NullMarked;
