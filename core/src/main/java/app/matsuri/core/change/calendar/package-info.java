/** Changes of the term: days off, teaching days, rotation, first plan day. May know what changes share. */
package app.matsuri.core.change.calendar;
