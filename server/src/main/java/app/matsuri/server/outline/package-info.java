/** Typed lines and outline files. May know files and access. */
package app.matsuri.server.outline;
