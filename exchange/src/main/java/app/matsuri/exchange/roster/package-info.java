/** Lists of students, read. May know files. */
package app.matsuri.exchange.roster;
