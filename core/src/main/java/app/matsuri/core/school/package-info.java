/** What a school says of its days, and how a term that follows it differs. Knows changes of the calendar. */
@NullMarked
package app.matsuri.core.school;

import org.jspecify.annotations.NullMarked;
