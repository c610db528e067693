/** Links that show a part of a plan to people without an account. May know storage, access and who is signed in; not what is shown. */
@NullMarked
package app.matsuri.server.link;

import org.jspecify.annotations.NullMarked;
