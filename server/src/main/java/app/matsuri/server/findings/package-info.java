/** What is wrong in a term, as it is shown. May know access and history. */
@NullMarked
package app.matsuri.server.findings;

import org.jspecify.annotations.NullMarked;
