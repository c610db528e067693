package app.matsuri.core.change;

/** A thing that a change moves by hand, as against what moves because of it. */
public record Hand(String course, String id) {

    /** How a notice is named here: it may have the id of some work. */
    public static String notice(String id) {
        return "notice " + id;
    }
}
