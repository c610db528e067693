/** Changes of notices, rhythms and notes on days and weeks. May know what changes share. */
@NullMarked
package app.matsuri.core.change.notice;

import org.jspecify.annotations.NullMarked;
