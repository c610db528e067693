package app.matsuri.server.page;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Which;
import app.matsuri.core.shown.Shown;
import app.matsuri.core.shown.ShownDay;
import app.matsuri.core.shown.ShownSession;
import app.matsuri.core.shown.ShownThing;
import app.matsuri.core.shown.ShownWeek;
import app.matsuri.server.page.SectionPage.Said;
import app.matsuri.server.page.SectionPage.Thread;
import app.matsuri.server.page.SectionPage.WeekLink;
import app.matsuri.server.page.Seeing.Seen;
import app.matsuri.server.page.SheetPage.Column;
import app.matsuri.server.page.SheetPage.Lesson;
import app.matsuri.server.page.SheetPage.Row;
import app.matsuri.server.page.SheetPage.Step;
import app.matsuri.server.page.SheetPage.Work;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Lays the sections of a course out on the sheet of a week. */
final class Sheets {

    /** As many lines fit on a page as it is; each size takes so many more. */
    private static final int LINES = 30;

    private static final int MORE = 14;
    private static final int SMALLEST = 4;

    /** What is done before class, and what is handed in; what opens or closes has a dot. */
    private static final Map<String, String> MARKS = Map.of("sheet.before", "○", "sheet.handin", "■");

    private final List<Seen> sections;
    private final PageWords words;
    private final boolean teacher;
    private final Map<String, Thread> threads;

    /**
     * @param sections of one course
     * @param teacher whether steps and private notes are on it
     */
    Sheets(List<Seen> sections, PageWords words, boolean teacher, Map<String, Thread> threads) {
        this.sections = sections;
        this.words = words;
        this.teacher = teacher;
        this.threads = threads;
    }

    /** The sheet of a week; empty where the term has no such week. */
    Optional<SheetPage> page(int number, String subtitle) {
        Seen first = sections.get(0);
        List<Week> weeks = new ArrayList<>();
        for (Seen seen : sections) {
            seen.shown().week(number).ifPresent(week -> weeks.add(new Week(seen, week)));
        }
        if (weeks.isEmpty()) {
            return Optional.empty();
        }
        List<Integer> days = days(weeks);
        ShownWeek of = weeks.get(0).week();
        Shown shown = first.shown();
        LocalDate from = of.days().get(days.get(0)).date();
        LocalDate to = of.days().get(days.get(days.size() - 1)).date();
        List<Row> rows = weeks.stream()
                .map(w -> new Row(
                        w.seen().shown().section().section(),
                        days.stream().map(d -> lessons(w, d)).toList()))
                .toList();
        List<List<Work>> due = days.stream().map(d -> work(weeks, d)).toList();
        String headline = weeks.stream()
                .map(w -> w.week().headline())
                .filter(h -> !h.isEmpty())
                .findFirst()
                .orElse("");
        List<String> targets = weeks.stream()
                .map(w -> w.week().targets())
                .filter(t -> !t.isEmpty())
                .findFirst()
                .orElse(List.of());
        String course = shown.section().course() + " " + shown.title();
        return Optional.of(new SheetPage(
                words.language(),
                course + ": " + words.say("week.number", number),
                number,
                headline.isEmpty() ? words.say("week.number", number) : headline,
                String.join(". ", List.of(course, words.say("span", words.day(from), words.day(to)), subtitle)),
                days.stream()
                        .map(d -> of.days().get(d).date())
                        .map(day -> new Column(words.day(day), day.equals(shown.today())))
                        .toList(),
                rows,
                due,
                targets,
                notices(weeks, days),
                links(weeks),
                size(rows, due),
                link(shown, number - 1),
                link(shown, number + 1),
                first.home()));
    }

    private record Week(Seen seen, ShownWeek week) {}

    private @Nullable WeekLink link(Shown shown, int number) {
        return shown.week(number)
                .map(w -> new WeekLink(number, "?week=" + number, false, words.say("week.number", number)))
                .orElse(null);
    }

    /** The days of the week that stand on it: Monday to Friday, and others on which something is. */
    private static List<Integer> days(List<Week> weeks) {
        List<Integer> days = new ArrayList<>();
        for (int d = 0; d < 7; d++) {
            int day = d;
            boolean weekday =
                    weeks.get(0).week().days().get(d).date().getDayOfWeek().getValue() < 6;
            if (weekday
                    || weeks.stream().anyMatch(w -> something(w.week().days().get(day)))) {
                days.add(d);
            }
        }
        return days;
    }

    /** Whether something is on a day that does not only go on. */
    private static boolean something(ShownDay day) {
        return !day.sessions().isEmpty()
                || !day.due().isEmpty()
                || !day.opens().isEmpty()
                || !day.closes().isEmpty()
                || !day.words().isEmpty()
                || day.notices().stream()
                        .anyMatch(n -> !n.begins().toLocalDate().isBefore(day.date()));
    }

    private List<Lesson> lessons(Week of, int day) {
        List<Lesson> lessons = new ArrayList<>();
        ShownDay on = of.week().days().get(day);
        if (!on.off().isEmpty()) {
            lessons.add(new Lesson("", "", "", null, on.off(), List.of(), ""));
        }
        for (ShownSession session : on.sessions()) {
            LocalDateTime end = session.end();
            String when = end == null || !session.timed()
                    ? ""
                    : words.say("span", words.time(session.start()), words.end(session.start(), end));
            if (session.lessons().isEmpty()) {
                lessons.add(new Lesson(when, session.place(), session.link(), null, "", List.of(), ""));
            }
            boolean first = true;
            for (ShownSession.Part part : session.lessons()) {
                Thread thread = part.unit() == null ? null : threads.get(part.unit());
                lessons.add(new Lesson(
                        first ? when : "",
                        first ? session.place() : "",
                        first ? session.link() : "",
                        thread == null
                                ? null
                                : new Thread(thread.code() + part.number(), thread.look(), thread.paper()),
                        part.title(),
                        steps(of.seen().course(), part),
                        teacher ? notes(of.seen().course(), part.lesson()) : ""));
                first = false;
            }
        }
        return lessons;
    }

    /** The steps of a lesson, on its first class. */
    private List<Step> steps(Course course, ShownSession.Part part) {
        return !teacher || part.part() > 1
                ? List.of()
                : course.lesson(part.lesson())
                        .map(l -> l.details().steps().stream()
                                .map(s -> new Step(s.minutes(), s.text()))
                                .toList())
                        .orElse(List.of());
    }

    private static String notes(Course course, String lesson) {
        return course.lesson(lesson).map(app.matsuri.core.plan.Lesson::notes).orElse("");
    }

    /** What is due on a day, then what opens and closes; what all sections have alike stands once. */
    private List<Work> work(List<Week> weeks, int day) {
        Map<String, Work> work = new LinkedHashMap<>();
        for (Week of : weeks) {
            ShownDay on = of.week().days().get(day);
            String section = weeks.size() > 1 ? of.seen().shown().section().section() : "";
            for (ShownThing thing : on.due()) {
                String what = before(thing, on) ? "sheet.before" : "sheet.handin";
                put(work, of.seen(), section, thing, words.time(thing.main()), what);
            }
            on.opens().forEach(t -> put(work, of.seen(), section, t, time(t, Which.OPENS), "sheet.opens"));
            on.closes().forEach(t -> put(work, of.seen(), section, t, time(t, Which.CLOSES), "sheet.closes"));
        }
        return List.copyOf(work.values());
    }

    private void put(Map<String, Work> work, Seen seen, String section, ShownThing thing, String time, String what) {
        String mark = MARKS.getOrDefault(what, "·");
        work.merge(
                thing.ref() + " " + time + " " + what,
                new Work(section, thing.title(), address(seen, thing), time, mark, words.say(what)),
                (a, b) -> new Work(
                        a.section() + ", " + b.section(), a.title(), a.address(), a.time(), a.mark(), a.what()));
    }

    /** Its own link, else its place on the page. */
    private static String address(Seen seen, ShownThing thing) {
        return thing.links().stream().map(Link::url).findFirst().orElse(seen.thing(thing.ref()));
    }

    /** Whether something is to be done before class: what is due as a class begins, and what is read. */
    private static boolean before(ShownThing thing, ShownDay on) {
        return on.sessions().stream().anyMatch(s -> s.start().equals(thing.main()))
                || thing.about() != null && thing.about().kind().equals("reading");
    }

    private String time(ShownThing thing, Which which) {
        LocalDateTime at = thing.at(which);
        return at == null ? "" : words.time(at);
    }

    private List<Said> notices(List<Week> weeks, List<Integer> days) {
        Map<String, Said> notices = new LinkedHashMap<>();
        for (Week of : weeks) {
            for (int day : days) {
                of.week()
                        .days()
                        .get(day)
                        .notices()
                        .forEach(n -> notices.putIfAbsent(
                                n.course() + n.id(),
                                new Said(
                                        n.title(),
                                        words.when(n, of.week().first().atStartOfDay()),
                                        "",
                                        "")));
                for (String text : of.week().days().get(day).words()) {
                    LocalDate date = of.week().days().get(day).date();
                    notices.putIfAbsent(date + text, new Said(text, words.day(date), "", ""));
                }
            }
        }
        return List.copyOf(notices.values());
    }

    /** The links of the week's lessons, once their units have begun, and of the work due in it. */
    private List<Said> links(List<Week> weeks) {
        Map<String, Said> links = new LinkedHashMap<>();
        for (Week of : weeks) {
            for (ShownDay day : of.week().days()) {
                day.sessions().stream()
                        .flatMap(s -> s.lessons().stream())
                        .filter(p -> teacher || of.seen().shown().begun(p.unit()))
                        .map(p -> of.seen().course().lesson(p.lesson()).orElse(null))
                        .filter(Objects::nonNull)
                        .map(app.matsuri.core.plan.Lesson::details)
                        .map(LessonDetails::links)
                        .flatMap(Collection::stream)
                        .forEach(l -> add(links, l));
                day.sessions().forEach(s -> s.added().forEach(l -> add(links, l)));
                day.due().forEach(t -> t.links().forEach(l -> add(links, l)));
            }
        }
        return List.copyOf(links.values());
    }

    private static void add(Map<String, Said> links, Link link) {
        links.putIfAbsent(link.url(), new Said(link.title().isBlank() ? link.url() : link.title(), "", link.url(), ""));
    }

    private static int size(List<Row> rows, List<List<Work>> due) {
        int lines = due.stream().mapToInt(List::size).max().orElse(0);
        for (Row row : rows) {
            lines += row.cells().stream()
                    .mapToInt(cell -> cell.stream()
                            .mapToInt(l -> 3 + l.steps().size() + l.notes().length() / 30)
                            .sum())
                    .max()
                    .orElse(1);
        }
        return Math.min(SMALLEST, Math.max(0, (lines - LINES + MORE - 1) / MORE));
    }
}
