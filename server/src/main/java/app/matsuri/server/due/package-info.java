/** What is due over all of one's courses. */
@NullMarked
package app.matsuri.server.due;

import org.jspecify.annotations.NullMarked;
