/** What-ifs by name, and the plan beside them. May know what-ifs, ways out and access. */
@NullMarked
package app.matsuri.server.comparison;

import org.jspecify.annotations.NullMarked;
