/** Typed lines and outline files. May know files and access. */
@NullMarked
package app.matsuri.server.outline;

import org.jspecify.annotations.NullMarked;
