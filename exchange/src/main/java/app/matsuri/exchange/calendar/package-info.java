/** Calendar files and tables of days off and meetings, in and out. May know words, readers of lines and files. */
@NullMarked
package app.matsuri.exchange.calendar;

import org.jspecify.annotations.NullMarked;
