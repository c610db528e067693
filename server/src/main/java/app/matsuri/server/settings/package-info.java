/** What is set when the server is started. Knows nothing. */
package app.matsuri.server.settings;
