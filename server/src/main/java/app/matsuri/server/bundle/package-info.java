/** Bundles out and in over HTTP and by command. May know changes, files and history. */
@NullMarked
package app.matsuri.server.bundle;

import org.jspecify.annotations.NullMarked;
