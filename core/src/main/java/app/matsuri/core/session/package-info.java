/** When sections meet: patterns, changes of single classes, rotations, and the sessions that follow. May know the calendar. */
@NullMarked
package app.matsuri.core.session;

import org.jspecify.annotations.NullMarked;
