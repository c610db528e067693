/** Changes of how a section goes through its plan: pins, lengths, records of what was taught. May know what changes share. */
@NullMarked
package app.matsuri.core.change.pace;

import org.jspecify.annotations.NullMarked;
