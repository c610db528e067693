/** Rolling a course over into another term. May know changes and access. */
@NullMarked
package app.matsuri.server.rollover;

import org.jspecify.annotations.NullMarked;
