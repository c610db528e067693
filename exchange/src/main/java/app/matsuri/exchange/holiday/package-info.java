/** Public holidays of countries, from a library. May know the calendar. */
package app.matsuri.exchange.holiday;
