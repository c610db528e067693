/**
 * Proposing and making changes: the one way to write. May know access, history and storage; views contribute their part to its answers
 * and are not known to it.
 */
@NullMarked
package app.matsuri.server.change;

import org.jspecify.annotations.NullMarked;
