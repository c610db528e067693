/** Changes of dates: moved, shifted, redated, one by one or many at a time. May know what changes share, and those of the plan. */
@NullMarked
package app.matsuri.core.change.dates;

import org.jspecify.annotations.NullMarked;
