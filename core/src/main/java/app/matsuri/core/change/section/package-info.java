/** Changes of sections: their meetings, rosters, and what their students are told. May know what changes share. */
package app.matsuri.core.change.section;
