/** Changes of courses, units, lessons and work. May know what changes share. */
@NullMarked
package app.matsuri.core.change.plan;

import org.jspecify.annotations.NullMarked;
