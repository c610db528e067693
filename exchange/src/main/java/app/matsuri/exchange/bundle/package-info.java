/** A term with its files and history as one file. May know the plan file and changes. */
package app.matsuri.exchange.bundle;
