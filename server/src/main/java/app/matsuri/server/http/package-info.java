/** What every request shares: problems, limits, whole bodies, changes as they are given, the contract. May know storage's versions only. */
@NullMarked
package app.matsuri.server.http;

import org.jspecify.annotations.NullMarked;
