/** Accounts, signing in and what a person prefers. May know the clock and the settings. */
package app.matsuri.server.account;
