/** Who did what and when, and what can be undone. May know access and storage. */
package app.matsuri.server.history;
