/** Dates of another term from a table, for a rollover. May know words and files. */
package app.matsuri.exchange.rollover;
