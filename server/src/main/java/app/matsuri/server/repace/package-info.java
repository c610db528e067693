/** Ways out and pacings as small walls. May know access and storage. */
package app.matsuri.server.repace;
