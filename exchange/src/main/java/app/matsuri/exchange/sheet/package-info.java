/** A teacher's own sheet of a course, row by row as it stands: columns, lessons, work and what is neither. May know words and files, no plan. */
@NullMarked
package app.matsuri.exchange.sheet;

import org.jspecify.annotations.NullMarked;
