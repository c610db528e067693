/** Outlines of courses as people have them: lines, sheets, cartridges, typed lines of a day. May know words and files. */
@NullMarked
package app.matsuri.exchange.outline;

import org.jspecify.annotations.NullMarked;
