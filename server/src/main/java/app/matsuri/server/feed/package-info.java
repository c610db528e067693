/** Calendar feeds of links: what their pages show, as entries. May know pages, links and storage. */
@NullMarked
package app.matsuri.server.feed;

import org.jspecify.annotations.NullMarked;
