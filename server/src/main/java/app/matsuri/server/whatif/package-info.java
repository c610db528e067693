/** What-ifs as they are stored: changes made anew on the plan. May know storage. */
@NullMarked
package app.matsuri.server.whatif;

import org.jspecify.annotations.NullMarked;
