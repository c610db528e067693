/**
 * What a change is, how it is refused, and what changes share. A change is a pure function from decisions to decisions. May know the
 * schedule and what is below it.
 */
@NullMarked
package app.matsuri.core.change;

import org.jspecify.annotations.NullMarked;
