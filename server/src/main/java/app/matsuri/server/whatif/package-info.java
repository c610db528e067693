/** What-ifs as they are stored: changes made anew on the plan. May know storage. */
package app.matsuri.server.whatif;
