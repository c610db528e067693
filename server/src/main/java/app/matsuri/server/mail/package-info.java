/** Mail that is written, kept, and goes out. Knows nothing of what is written about. */
@NullMarked
package app.matsuri.server.mail;

import org.jspecify.annotations.NullMarked;
