/** Links to meetings: a simulated provider that ships with the application. Knows mail's address alone. */
@NullMarked
package app.matsuri.server.meeting;

import org.jspecify.annotations.NullMarked;
