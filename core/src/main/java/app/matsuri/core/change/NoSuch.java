package app.matsuri.core.change;

/** What a change or a question names is not there. */
public final class NoSuch extends Refused {

    private static final long serialVersionUID = 1L;

    private final String what;

    private NoSuch(String what, String message) {
        super(message);
        this.what = what;
    }

    /** There is no such thing in a course. */
    public static NoSuch in(String course, String what, String id) {
        return new NoSuch(what, "There is no " + what + " “" + id + "” in " + course + ".");
    }

    /** There is no such course in the term. */
    public static NoSuch course(String code) {
        return new NoSuch("course", "There is no course “" + code + "” in this term.");
    }

    /** There are no such office hours in the term. */
    public static NoSuch officeHours(String id) {
        return new NoSuch("office-hours", "There are no office hours “" + id + "” in this term.");
    }

    /** There is no such term, or not for who asks. */
    public static NoSuch term(long id) {
        return new NoSuch("term", "There is no term " + id + " here. It may belong to another sign-in.");
    }

    /** What is not there: "course", "section", "unit", "lesson", "item", "notice", "rhythm", "office-hours" or "term". */
    public String what() {
        return what;
    }
}
