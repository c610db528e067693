/** What is wrong or worth a look, a class for each. May know the schedule, and changes that mend. */
@NullMarked
package app.matsuri.core.findings;

import org.jspecify.annotations.NullMarked;
