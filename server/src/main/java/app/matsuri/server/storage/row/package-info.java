/** The tables of decisions. Knows nothing. */
package app.matsuri.server.storage.row;
