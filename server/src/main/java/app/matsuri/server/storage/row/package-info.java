/** The tables of decisions. Knows nothing. */
@NullMarked
package app.matsuri.server.storage.row;

import org.jspecify.annotations.NullMarked;
