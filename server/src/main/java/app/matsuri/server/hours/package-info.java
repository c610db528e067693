/** Office hours: bookings, the page on which they are made, letters about them, and the instructor's view. Knows pages, links and mail. */
@NullMarked
package app.matsuri.server.hours;

import org.jspecify.annotations.NullMarked;
