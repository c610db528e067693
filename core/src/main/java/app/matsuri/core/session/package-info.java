/** When sections meet: patterns, changes of single classes, rotations, and the sessions that follow. May know the calendar. */
package app.matsuri.core.session;
