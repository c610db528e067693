/** A term with its files and history as one file. May know the plan file and changes. */
@NullMarked
package app.matsuri.exchange.bundle;

import org.jspecify.annotations.NullMarked;
