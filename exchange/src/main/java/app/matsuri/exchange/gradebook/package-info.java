/** Exports of a grade book, read. May know files and words. */
@NullMarked
package app.matsuri.exchange.gradebook;

import org.jspecify.annotations.NullMarked;
