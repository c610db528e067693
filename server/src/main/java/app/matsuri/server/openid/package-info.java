/** Signing in at another place by OpenID Connect. May know accounts. */
@NullMarked
package app.matsuri.server.openid;

import org.jspecify.annotations.NullMarked;
