/** The set-up view of a term and days off as files. May know changes, history and access. */
package app.matsuri.server.calendar;
