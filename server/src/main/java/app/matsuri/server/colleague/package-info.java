/** Inviting colleagues and substitutes, by simulated mail. May know access and accounts. */
package app.matsuri.server.colleague;
