/** Pages for people without an account: what a link shows, in the language of its course. May know links, storage and the grade book. */
@NullMarked
package app.matsuri.server.page;

import org.jspecify.annotations.NullMarked;
