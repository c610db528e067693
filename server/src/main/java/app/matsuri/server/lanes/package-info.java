/** The sections of a term beside each other. May know changes, history and access. */
package app.matsuri.server.lanes;
