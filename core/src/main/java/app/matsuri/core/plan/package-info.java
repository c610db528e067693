/** What people decide: courses, units, lessons, work and its date rules, notices, sections. May know calendar and session; computes no date. */
@NullMarked
package app.matsuri.core.plan;

import org.jspecify.annotations.NullMarked;
