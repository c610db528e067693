/** Commands on a data folder, by the server that runs on it. May know accounts, bundles and storage. */
@NullMarked
package app.matsuri.server.command;

import org.jspecify.annotations.NullMarked;
