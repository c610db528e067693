package app.matsuri.server.page;

import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.shown.Shown;
import app.matsuri.core.shown.ShownThing;
import app.matsuri.server.page.SectionPage.Due;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * What is due over all courses of a student's link, in words.
 *
 * @param courses each with its page, and an address that shows this list without it, or with it again
 */
public record DuePage(String language, String title, List<CourseLine> courses, List<Group> groups, String none) {

    /** A course. */
    public record CourseLine(String title, String page, String turn, String turnWords, boolean shown, String untold) {}

    /** What is due in a span of time. */
    public record Group(String title, boolean late, List<Due> due) {}

    /** One of the sections. */
    record Of(Shown shown, String home, Function<ThingRef, String> address) {}

    private record Line(ShownThing thing, Of of) {}

    static DuePage of(List<Of> sections, PageWords words, String home, List<String> hidden) {
        List<Line> lines = new ArrayList<>();
        List<CourseLine> courses = new ArrayList<>();
        for (Of of : sections) {
            boolean shown = !hidden.contains(of.shown().section().toString());
            List<String> turned = new ArrayList<>(hidden);
            if (!turned.remove(of.shown().section().toString())) {
                turned.add(of.shown().section().toString());
            }
            String title = SectionPages.title(of.shown());
            courses.add(new CourseLine(
                    title,
                    of.home(),
                    home + query(turned),
                    shown ? words.say("hide") : words.say("show", ""),
                    shown,
                    of.shown().begun() ? "" : words.say("untold")));
            if (shown) {
                of.shown().missed().forEach(t -> lines.add(new Line(t, of)));
                of.shown().toDo().forEach(t -> lines.add(new Line(t, of)));
                of.shown().later().forEach(t -> lines.add(new Line(t, of)));
            }
        }
        lines.sort(Comparator.comparing(l -> l.thing().main()));
        LocalDateTime now = sections.get(0).shown().now();
        LocalDate today = now.toLocalDate();
        LocalDate week = today.plusDays(7 - today.getDayOfWeek().getValue());
        LocalDate month = today.withDayOfMonth(today.lengthOfMonth());
        List<Group> groups = new ArrayList<>();
        List<Group> past = new ArrayList<>();
        add(
                past,
                words.say("due.past"),
                true,
                lines,
                words,
                l -> l.thing().missed(l.of().shown().now()));
        lines.removeIf(l -> l.thing().missed(l.of().shown().now()));
        add(groups, words.say("due.today"), false, lines, words, l -> !day(l).isAfter(today));
        add(groups, words.say("due.week"), false, lines, words, l -> day(l).isAfter(today) && !day(l).isAfter(week));
        LocalDate soon = week.isAfter(today) ? week : today;
        add(groups, words.say("due.month"), false, lines, words, l -> day(l).isAfter(soon) && !day(l).isAfter(month));
        LocalDate far = month.isAfter(soon) ? month : soon;
        add(groups, words.say("later"), false, lines, words, l -> day(l).isAfter(far));
        groups.addAll(past);
        return new DuePage(
                words.language(), words.say("due"), courses, groups, groups.isEmpty() ? words.say("due.none") : "");
    }

    private static LocalDate day(Line line) {
        return line.thing().main().toLocalDate();
    }

    private static String query(List<String> hidden) {
        return hidden.isEmpty()
                ? ""
                : "?"
                        + String.join(
                                "&",
                                hidden.stream()
                                        .map(h -> "hide=" + Seeing.encoded(h))
                                        .toList());
    }

    private static void add(
            List<Group> groups, String title, boolean late, List<Line> lines, PageWords words, Predicate<Line> those) {
        List<Due> due = lines.stream()
                .filter(those)
                .map(l -> new Due(
                        l.thing().title(),
                        l.of().address().apply(l.thing().ref()),
                        words.moment(l.thing().main(), l.of().shown().today()),
                        l.thing().own() ? words.say("own") : "",
                        SectionPages.title(l.of().shown())))
                .toList();
        if (!due.isEmpty()) {
            groups.add(new Group(title, late, due));
        }
    }
}
