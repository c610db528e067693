/** Changes of sections: their meetings, rosters, and what their students are told. May know what changes share. */
@NullMarked
package app.matsuri.core.change.section;

import org.jspecify.annotations.NullMarked;
