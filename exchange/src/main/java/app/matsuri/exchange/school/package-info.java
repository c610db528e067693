/**
 * A school's calendar as it is published, read line by line into what it means for a term, with doubts where it is not clear. May know words
 * and files; knows nothing of a plan.
 */
@NullMarked
package app.matsuri.exchange.school;

import org.jspecify.annotations.NullMarked;
