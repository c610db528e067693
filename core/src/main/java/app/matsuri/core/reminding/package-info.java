/** Of what a course reminds whom, and when. Knows what is shown. */
@NullMarked
package app.matsuri.core.reminding;

import org.jspecify.annotations.NullMarked;
