/** Inviting colleagues and substitutes, by simulated mail. May know access and accounts. */
@NullMarked
package app.matsuri.server.colleague;

import org.jspecify.annotations.NullMarked;
