/** What-ifs by name, and the plan beside them. May know what-ifs, ways out and access. */
package app.matsuri.server.comparison;
