/** Terms: new, opened, archived, deleted, and what they begin with. May know what it puts together: bundles, changes, the Wall. */
@NullMarked
package app.matsuri.server.term;

import org.jspecify.annotations.NullMarked;
