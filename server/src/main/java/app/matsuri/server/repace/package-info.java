/** Ways out and pacings as small walls. May know access and storage. */
@NullMarked
package app.matsuri.server.repace;

import org.jspecify.annotations.NullMarked;
