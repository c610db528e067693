/** Exports of a grade book, read. May know files and words. */
package app.matsuri.exchange.gradebook;
