/** How long units really took. May know the schedule and what is below it. */
package app.matsuri.core.lookback;
