/** Which lesson falls on which session. May know the plan and what is below it. */
package app.matsuri.core.flow;
