/** Commands that need no server: dates, ways, rollover and outlines of files. May know every other package of exchange. */
@NullMarked
package app.matsuri.exchange.command;

import org.jspecify.annotations.NullMarked;
