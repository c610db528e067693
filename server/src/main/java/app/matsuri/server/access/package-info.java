/** Who may look at a term, and who may change it. May know accounts, storage and what-ifs. */
@NullMarked
package app.matsuri.server.access;

import org.jspecify.annotations.NullMarked;
