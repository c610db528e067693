/** Who did what and when, and what can be undone. May know access and storage. */
@NullMarked
package app.matsuri.server.history;

import org.jspecify.annotations.NullMarked;
