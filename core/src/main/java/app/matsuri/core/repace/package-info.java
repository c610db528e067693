/** The best pacing of a stretch of lessons, the ways out of a lost class, and what they cost. May know changes and what is below them. */
package app.matsuri.core.repace;
