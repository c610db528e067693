/** What is read while a section is set up: meeting times and timetables. May know access. */
@NullMarked
package app.matsuri.server.section;

import org.jspecify.annotations.NullMarked;
