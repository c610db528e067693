package app.matsuri.server.meeting;

/** Whoever gives out links to meetings. */
interface Meetings {

    /** A link that serves a whole series. */
    String link();
}
