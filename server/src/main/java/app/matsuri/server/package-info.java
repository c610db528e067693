/** The application: what is started, and the one clock. May know everything. */
@NullMarked
package app.matsuri.server;

import org.jspecify.annotations.NullMarked;
