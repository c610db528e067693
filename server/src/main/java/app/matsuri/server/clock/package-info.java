/** What day it is, and changes as they are made now. May know how requests give changes. */
package app.matsuri.server.clock;
