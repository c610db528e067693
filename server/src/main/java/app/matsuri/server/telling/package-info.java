/** What students are told, and when. May know the grade book and access. */
package app.matsuri.server.telling;
