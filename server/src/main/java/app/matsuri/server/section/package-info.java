/** What is read while a section is set up: meeting times and timetables. May know access. */
package app.matsuri.server.section;
