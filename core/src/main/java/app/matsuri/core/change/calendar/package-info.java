/** Changes of the term: days off, teaching days, rotation, first plan day. May know what changes share. */
@NullMarked
package app.matsuri.core.change.calendar;

import org.jspecify.annotations.NullMarked;
