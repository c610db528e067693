/** How long units took over the terms. May know history and access. */
@NullMarked
package app.matsuri.server.lookback;

import org.jspecify.annotations.NullMarked;
