/**
 * A school's calendar as it is published, read line by line into what it means for a term, with doubts where it is not clear; and the days off
 * among it. May know words, files and calendars.
 */
@NullMarked
package app.matsuri.exchange.school;

import org.jspecify.annotations.NullMarked;
