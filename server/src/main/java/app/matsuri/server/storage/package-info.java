/** Decisions as rows, the one way to read and write them. Knows no capability. */
package app.matsuri.server.storage;
