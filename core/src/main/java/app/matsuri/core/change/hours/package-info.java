/** Changes of office hours and their slots. */
@NullMarked
package app.matsuri.core.change.hours;

import org.jspecify.annotations.NullMarked;
