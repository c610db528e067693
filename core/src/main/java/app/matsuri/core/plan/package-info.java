/** What people decide: courses, units, lessons, work and its date rules, notices, sections. May know calendar and session; computes no date. */
package app.matsuri.core.plan;
