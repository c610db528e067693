/** The view of what students see. May know pages, the grade book, findings and access. */
@NullMarked
package app.matsuri.server.students;

import org.jspecify.annotations.NullMarked;
