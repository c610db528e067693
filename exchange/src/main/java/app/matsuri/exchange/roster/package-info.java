/** Lists of students, read. May know files. */
@NullMarked
package app.matsuri.exchange.roster;

import org.jspecify.annotations.NullMarked;
