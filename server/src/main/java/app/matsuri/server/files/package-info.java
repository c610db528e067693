/** Files that belong to work and lessons. May know access. */
@NullMarked
package app.matsuri.server.files;

import org.jspecify.annotations.NullMarked;
