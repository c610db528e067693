/**
 * What people outside see of a section: made from what its students were told, with words, links and files as they stand. May know the
 * schedule and what is below it; it shows no date that was not told.
 */
@NullMarked
package app.matsuri.core.shown;

import org.jspecify.annotations.NullMarked;
