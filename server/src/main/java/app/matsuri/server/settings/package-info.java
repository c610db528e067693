/** What is set when the server is started. Knows nothing. */
@NullMarked
package app.matsuri.server.settings;

import org.jspecify.annotations.NullMarked;
