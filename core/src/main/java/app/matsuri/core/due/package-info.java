/** What is due over courses, and what each thing still waits for. Knows the schedule. */
@NullMarked
package app.matsuri.core.due;

import org.jspecify.annotations.NullMarked;
