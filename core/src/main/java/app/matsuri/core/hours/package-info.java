/** Time offered to students: slots of office hours. */
@NullMarked
package app.matsuri.core.hours;

import org.jspecify.annotations.NullMarked;
