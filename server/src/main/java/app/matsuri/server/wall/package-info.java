/** The Wall of a section, and its days. May know changes, findings, history and what is told. */
@NullMarked
package app.matsuri.server.wall;

import org.jspecify.annotations.NullMarked;
