/** Tables that leave: dates, classes, days off, rollovers, looks back; and dates read back. May know words and files. */
@NullMarked
package app.matsuri.exchange.table;

import org.jspecify.annotations.NullMarked;
