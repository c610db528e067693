/** Which lesson falls on which session. May know the plan and what is below it. */
@NullMarked
package app.matsuri.core.flow;

import org.jspecify.annotations.NullMarked;
