/** Public holidays of countries, from a library. May know the calendar. */
@NullMarked
package app.matsuri.exchange.holiday;

import org.jspecify.annotations.NullMarked;
