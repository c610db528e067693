/** A plan carried to another term, with a reason for every date. May know repace, look back, changes and what is below them. */
@NullMarked
package app.matsuri.core.rollover;

import org.jspecify.annotations.NullMarked;
