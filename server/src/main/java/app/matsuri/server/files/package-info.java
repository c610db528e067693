/** Files that belong to units, lessons, work and notices, and those that belong to no course. May know access. */
@NullMarked
package app.matsuri.server.files;

import org.jspecify.annotations.NullMarked;
