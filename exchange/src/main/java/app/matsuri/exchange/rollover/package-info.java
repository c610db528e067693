/** Dates of another term from a table, for a rollover. May know words and files. */
@NullMarked
package app.matsuri.exchange.rollover;

import org.jspecify.annotations.NullMarked;
