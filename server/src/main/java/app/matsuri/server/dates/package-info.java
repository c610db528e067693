/** The table of dates. May know changes, findings, what is told, and access. */
package app.matsuri.server.dates;
