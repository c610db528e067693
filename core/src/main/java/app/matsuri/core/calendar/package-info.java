/** The term, its days off and weeks, and the teaching days that follow from them. Knows nothing else of the rules. */
@NullMarked
package app.matsuri.core.calendar;

import org.jspecify.annotations.NullMarked;
