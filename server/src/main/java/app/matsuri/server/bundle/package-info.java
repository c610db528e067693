/** Bundles out and in over HTTP and by command. May know changes, files and history. */
package app.matsuri.server.bundle;
