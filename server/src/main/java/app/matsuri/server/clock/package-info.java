/** What day it is, and changes as they are made now. May know how requests give changes. */
@NullMarked
package app.matsuri.server.clock;

import org.jspecify.annotations.NullMarked;
