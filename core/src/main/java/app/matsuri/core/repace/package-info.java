/** The best pacing of a stretch of lessons, the ways out of a lost class, and what they cost. May know changes and what is below them. */
@NullMarked
package app.matsuri.core.repace;

import org.jspecify.annotations.NullMarked;
