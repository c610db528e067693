/** Rolling a course over into another term. May know changes and access. */
package app.matsuri.server.rollover;
