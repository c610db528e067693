/** All courses of a person at once, by weeks. May know the Wall's days and history. */
@NullMarked
package app.matsuri.server.courses;

import org.jspecify.annotations.NullMarked;
