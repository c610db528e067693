/** The application: what is started, and the one clock. May know everything. */
package app.matsuri.server;
