/** Forgotten passwords, replaced by a letter. May know accounts and mail. */
@NullMarked
package app.matsuri.server.reset;

import org.jspecify.annotations.NullMarked;
