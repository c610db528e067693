/** What is measured of the running server, for who looks after it. May know mail and the disk. */
@NullMarked
package app.matsuri.server.metrics;

import org.jspecify.annotations.NullMarked;
