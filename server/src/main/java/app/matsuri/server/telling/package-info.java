/** What students are told, and when. May know the grade book and access. */
@NullMarked
package app.matsuri.server.telling;

import org.jspecify.annotations.NullMarked;
