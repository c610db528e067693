/** Reminders: what will go out, sending it once, stopping it. May know pages, links, mail and the grade book. */
@NullMarked
package app.matsuri.server.reminder;

import org.jspecify.annotations.NullMarked;
