/** Commands that need no server: dates, ways, rollover and outlines of files. May know every other package of exchange. */
package app.matsuri.exchange.command;
