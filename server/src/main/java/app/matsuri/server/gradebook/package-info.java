/** What was handed in, from a simulated grade book. May know access. */
@NullMarked
package app.matsuri.server.gradebook;

import org.jspecify.annotations.NullMarked;
