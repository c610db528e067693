/** Changes as JSON: each kind described once, with reader, writer and schema. May know the plan file. */
@NullMarked
package app.matsuri.exchange.change;

import org.jspecify.annotations.NullMarked;
