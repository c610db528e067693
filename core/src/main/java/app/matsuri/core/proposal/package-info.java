/** What a change would do, in words, before it is made. May know changes, findings and what is below them. */
package app.matsuri.core.proposal;
