/** Schools' calendars: published by a link, followed by terms. May know access, changes and findings. */
@NullMarked
package app.matsuri.server.school;

import org.jspecify.annotations.NullMarked;
