package app.matsuri.server.page;

import app.matsuri.core.shown.ShownMove;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The page of a section in words, as its template draws it.
 *
 * @param title course and section
 * @param subtitle the term and who teaches
 * @param home address of the page, without the week
 * @param begun whether anything was told
 * @param untold what stands for it where not
 * @param today the day of today; null outside the weeks of the term
 * @param missed what was due and is still taken; of many the first, the others in {@code missedMore}
 * @param current the week that is shown
 * @param following the week after it; null where there is none
 * @param sheet where the week is on one sheet
 * @param later the weeks after that which say something
 */
public record SectionPage(
        String language,
        String title,
        String subtitle,
        String home,
        boolean begun,
        List<WeekLink> weeks,
        @Nullable WeekLink previous,
        @Nullable WeekLink next,
        @Nullable Day today,
        String nextSession,
        List<Due> missed,
        List<Due> missedMore,
        List<Due> toDo,
        List<Due> opensLater,
        String laterUntold,
        @Nullable Week current,
        @Nullable Week following,
        List<Week> later,
        List<Moved> moves,
        String told,
        List<Noted> notices,
        List<Unit> units,
        String zone,
        String sheet) {

    /** A week to go to. */
    public record WeekLink(int number, String address, boolean shown, String words) {}

    /** Words with an address; without one where that is empty. */
    public record Said(String title, String words, String address, String html) {}

    /** A notice: its text as HTML, and what is attached to it. */
    public record Noted(String title, String words, String html, List<Said> links) {}

    /** A thread: the unit's code and how it looks. */
    public record Thread(String code, String look, String paper) {}

    /** A lesson, or a part of one. */
    public record Part(@Nullable Thread thread, String title, String part) {}

    /** A class. */
    public record Session(String when, String place, String meeting, List<Part> parts, List<Said> added) {}

    /** A day: its sessions, then lines of what is due, opens and closes on it. */
    public record Day(
            String weekday,
            String number,
            String words,
            boolean today,
            boolean gone,
            String off,
            List<String> notes,
            List<Session> sessions,
            List<Said> lines) {

        public boolean blank() {
            return off.isEmpty() && notes.isEmpty() && sessions.isEmpty() && lines.isEmpty();
        }
    }

    /** A week. */
    public record Week(String title, String headline, List<String> targets, List<Day> gone, List<Day> days) {}

    /** Work in a list of what is due. */
    public record Due(String title, String address, String when, String words, String course) {}

    /** A date that moved. */
    public record Moved(String title, String from, String to, String why, String gone) {

        /** The same in words. */
        public static Moved of(ShownMove move, PageWords words) {
            boolean day = move.what().equals("lesson");
            String title = switch (move.what()) {
                case "opens" -> words.say("moved.opens", move.title());
                case "closes" -> words.say("moved.closes", move.title());
                default -> move.title();
            };
            LocalDateTime from = move.from();
            LocalDateTime to = move.to();
            String was = from == null ? "" : day ? words.day(from.toLocalDate()) : words.moment(from);
            String is = to == null ? "" : day ? words.day(to.toLocalDate()) : words.moment(to);
            return new Moved(title, was, is, move.why(), to == null ? words.say("moved.gone", title, was) : "");
        }
    }

    /** A unit's files and links. */
    public record Unit(Thread thread, String title, List<Material> materials) {}

    /** Those of one of its lessons or of work. */
    public record Material(String title, List<Said> links) {}
}
