/** Who may look at a term, and who may change it. May know accounts, storage and what-ifs. */
package app.matsuri.server.access;
