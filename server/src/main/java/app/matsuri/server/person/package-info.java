/** What is kept about a person, given out and taken out. May know everything that keeps something about people. */
@NullMarked
package app.matsuri.server.person;

import org.jspecify.annotations.NullMarked;
