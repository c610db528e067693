/** Decisions as rows, the one way to read and write them. Knows no capability. */
@NullMarked
package app.matsuri.server.storage;

import org.jspecify.annotations.NullMarked;
