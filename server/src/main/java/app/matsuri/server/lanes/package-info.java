/** The sections of a term beside each other. May know changes, history and access. */
@NullMarked
package app.matsuri.server.lanes;

import org.jspecify.annotations.NullMarked;
