/** What is wrong in a term, as it is shown. May know access and history. */
package app.matsuri.server.findings;
