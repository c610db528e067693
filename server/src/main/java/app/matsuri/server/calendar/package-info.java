/** The set-up view of a term and days off as files. May know changes, history and access. */
@NullMarked
package app.matsuri.server.calendar;

import org.jspecify.annotations.NullMarked;
