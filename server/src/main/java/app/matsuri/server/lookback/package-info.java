/** How long units took over the terms. May know history and access. */
package app.matsuri.server.lookback;
