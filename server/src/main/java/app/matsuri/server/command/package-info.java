/** Commands on a data folder, by the server that runs on it. May know accounts, bundles and storage. */
package app.matsuri.server.command;
