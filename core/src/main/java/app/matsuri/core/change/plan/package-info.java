/** Changes of courses, units, lessons and work. May know what changes share. */
package app.matsuri.core.change.plan;
