/** Days, times, repeats, meetings and rules as people type them. Knows the rules only. */
@NullMarked
package app.matsuri.exchange.words;

import org.jspecify.annotations.NullMarked;
