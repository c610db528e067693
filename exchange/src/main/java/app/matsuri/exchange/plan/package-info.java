/** The plan file, in and out, with every fault said where it is. Knows the rules only. */
@NullMarked
package app.matsuri.exchange.plan;

import org.jspecify.annotations.NullMarked;
