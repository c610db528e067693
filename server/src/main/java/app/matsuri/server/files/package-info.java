/** Files that belong to work and lessons. May know access. */
package app.matsuri.server.files;
