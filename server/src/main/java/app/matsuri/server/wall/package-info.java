/** The Wall of a section, and its days. May know changes, findings, history and what is told. */
package app.matsuri.server.wall;
