/** The table of dates. May know changes, findings, what is told, and access. */
@NullMarked
package app.matsuri.server.dates;

import org.jspecify.annotations.NullMarked;
