/** What was handed in, from a simulated grade book. May know access. */
package app.matsuri.server.gradebook;
