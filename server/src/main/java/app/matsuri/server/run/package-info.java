/** Run lists: the classes of a day on the clock, for whoever takes them. May know pages, links and access. */
@NullMarked
package app.matsuri.server.run;

import org.jspecify.annotations.NullMarked;
