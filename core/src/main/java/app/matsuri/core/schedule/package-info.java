/** Everything that follows from decisions: sessions, placements, resolved dates, what is to be told. May know flow and what is below it. */
package app.matsuri.core.schedule;
