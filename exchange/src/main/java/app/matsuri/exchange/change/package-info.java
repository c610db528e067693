/** Changes as JSON: each kind described once, with reader, writer and schema. May know the plan file. */
package app.matsuri.exchange.change;
