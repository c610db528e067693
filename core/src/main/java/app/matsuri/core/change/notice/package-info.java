/** Changes of notices, rhythms and notes on days and weeks. May know what changes share. */
package app.matsuri.core.change.notice;
