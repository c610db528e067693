/** Days, times, repeats, meetings and rules as people type them. Knows the rules only. */
package app.matsuri.exchange.words;
