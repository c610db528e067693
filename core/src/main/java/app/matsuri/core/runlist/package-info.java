/** What happens in classes, on the clock, for whoever takes them. Knows the schedule. */
@NullMarked
package app.matsuri.core.runlist;

import org.jspecify.annotations.NullMarked;
