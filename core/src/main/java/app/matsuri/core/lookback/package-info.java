/** How long units really took. May know the schedule and what is below it. */
@NullMarked
package app.matsuri.core.lookback;

import org.jspecify.annotations.NullMarked;
