/** Accounts, signing in and what a person prefers. May know the clock and the settings. */
@NullMarked
package app.matsuri.server.account;

import org.jspecify.annotations.NullMarked;
