/** The plan file, in and out, with every fault said where it is. Knows the rules only. */
package app.matsuri.exchange.plan;
