/** Who is late with what, held against what was handed in. May know the schedule and what is below it. */
@NullMarked
package app.matsuri.core.gradebook;

import org.jspecify.annotations.NullMarked;
