/** The files of the database and the room that the disk has for them: full, it is said, read on, and written again when there is room. */
@org.jspecify.annotations.NullMarked
package app.matsuri.server.disk;
