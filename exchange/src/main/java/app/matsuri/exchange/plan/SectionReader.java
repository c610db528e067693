package app.matsuri.exchange.plan;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.OwnLesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Student;
import app.matsuri.core.plan.Told;
import app.matsuri.core.session.Beat;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.core.session.SessionChange;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/** Reads a section with its meetings and its own decisions. */
public final class SectionReader {

    static final String SESSION = "a class's first start, such as 2026-10-05T10:00";

    private SectionReader() {}

    /** The section; null when a fault leaves it without meaning. */
    public static @Nullable Section section(In in) {
        String code = in.id("code");
        String instructor = in.text("instructor", "");
        String partOf = in.text("partOf", "");
        List<Student> students = in.objects("students", SectionReader::student);
        String pace = in.word("pace", "sessions", Words.all(Section.Pace.class));
        List<MeetingPattern> meets = in.objects("meets", SectionReader::pattern);
        Beat beat = in.object("beat", b -> {
            Beat read = new Beat(b.weekday("weekday", null));
            b.extra();
            return read;
        });
        List<SessionChange> changes = in.objects("sessionChanges", SectionReader::change);
        Map<String, OwnLesson> lessons = lessons(in);
        Set<LocalDateTime> holdsEmpty = new LinkedHashSet<>(in.texts("holdsEmpty", SESSION, LocalDateTime::parse));
        Map<LocalDateTime, List<String>> taught = new LinkedHashMap<>();
        in.entries("taught", entry -> {
            LocalDateTime session = entry.keyAs(SESSION, LocalDateTime::parse);
            List<String> had = entry.texts();
            if (session != null) {
                taught.put(session, List.copyOf(had));
            }
        });
        Map<LocalDateTime, List<Link>> added = new LinkedHashMap<>();
        in.objects("sessionLinks", SectionReader::added).forEach(a -> added.put(a.session(), a.links()));
        Told told = ToldJson.read(in);
        List<Adjustment> adjustments = in.objects("adjustments", DetailsReader::adjustment);
        Extra extra = in.extra();
        if (code == null || pace == null || instructor == null || partOf == null) {
            return null;
        }
        return new Section(
                code,
                instructor,
                partOf,
                students,
                Words.constant(Section.Pace.class, pace),
                meets,
                beat,
                changes,
                lessons,
                holdsEmpty,
                taught,
                added,
                told,
                adjustments,
                extra);
    }

    /** Links that were added to a session. */
    private record Added(LocalDateTime session, List<Link> links) {}

    private static @Nullable Added added(In in) {
        LocalDateTime session = in.requiredMoment("session");
        List<Link> links = in.objects("links", DetailsReader::link);
        in.extra();
        return session == null ? null : new Added(session, links);
    }

    /** What the section decides about lessons, by their ids. */
    private static Map<String, OwnLesson> lessons(In in) {
        Map<String, OwnLesson> lessons = new LinkedHashMap<>();
        flags(in, "leavesOut", lessons, own -> own.withLeftOut(true));
        numbers(in, "gaps", -1000, lessons, OwnLesson::withGap);
        numbers(in, "lengths", 1, lessons, OwnLesson::withLength);
        flags(in, "joined", lessons, own -> own.withJoined(true));
        flags(in, "midWeek", lessons, own -> own.withMidWeek(true));
        in.entries("pins", entry -> {
            if (entry.none()) {
                own(lessons, entry.key(), own -> own.withPin(Own.none()));
            } else {
                LocalDate date = entry.text("a date such as 2026-10-02", LocalDate::parse);
                if (date != null) {
                    own(lessons, entry.key(), own -> own.withPin(Own.other(date)));
                }
            }
        });
        flags(in, "partly", lessons, own -> own.withPartly(true));
        numbers(in, "minutesHad", 0, lessons, OwnLesson::withMinutesHad);
        in.entries("notes", entry -> {
            String note = entry.text("a text in quotes", x -> x);
            if (note != null) {
                own(lessons, entry.key(), own -> own.withNote(note));
            }
        });
        return lessons;
    }

    /** A student; null when a fault leaves it without meaning. */
    public static @Nullable Student student(In in) {
        String id = in.id("id");
        String name = in.required("name");
        String mail = in.text("mail", "");
        in.extra();
        if (id == null || name == null || mail == null || name.isBlank()) {
            return null;
        }
        return new Student(id, name, mail);
    }

    private static void own(Map<String, OwnLesson> lessons, String id, UnaryOperator<OwnLesson> said) {
        lessons.put(id, said.apply(lessons.getOrDefault(id, OwnLesson.NOTHING)));
    }

    private static void flags(In in, String field, Map<String, OwnLesson> lessons, UnaryOperator<OwnLesson> said) {
        in.texts(field, "a lesson's id", x -> x).forEach(id -> own(lessons, id, said));
    }

    private static void numbers(
            In in,
            String field,
            int least,
            Map<String, OwnLesson> lessons,
            BiFunction<OwnLesson, Integer, OwnLesson> said) {
        in.entries(field, entry -> {
            Integer number = entry.number(least);
            if (number != null) {
                own(lessons, entry.key(), own -> said.apply(own, number));
            }
        });
    }

    /** When it meets; null when a fault leaves it without meaning. */
    public static @Nullable MeetingPattern pattern(In in) {
        String rule = in.text("rule", null);
        List<String> letters = in.texts("letters", "a day letter in quotes", x -> x);
        LocalTime start = in.time("start");
        Integer minutes = in.number("minutes", null, 1);
        String place = in.text("place", "");
        String link = in.text("link", "");
        LocalDate from = in.date("from");
        LocalDate until = in.date("until");
        if (rule == null && letters.isEmpty()) {
            in.faults()
                    .fatal(
                            in.pointer(),
                            "“rule” is missing: say when it meets, such as FREQ=WEEKLY;BYDAY=MO,WE,FR,"
                                    + " or give day letters.");
        }
        if (!in.has("start")) {
            in.faults().fatal(in.pointer(), "“start” is missing: give a time of day such as 10:00.");
        }
        if (!in.has("minutes")) {
            in.faults().fatal(in.pointer(), "“minutes” is missing: give the length of a class.");
        }
        Extra extra = in.extra();
        if (start == null || minutes == null || place == null || link == null || rule == null && letters.isEmpty()) {
            return null;
        }
        return new MeetingPattern(rule, letters, start, minutes, place, link, from, until, extra);
    }

    public static @Nullable SessionChange change(In in) {
        boolean cancel = in.has("cancel");
        boolean move = in.has("move");
        boolean add = in.has("add");
        if ((cancel ? 1 : 0) + (move ? 1 : 0) + (add ? 1 : 0) != 1) {
            in.faults().fatal(in.pointer(), "A change of a class is one of cancel, move (with to) or add.");
            return null;
        }
        if (cancel) {
            LocalDateTime session = in.moment("cancel");
            return session == null ? null : new SessionChange.Cancel(session, in.extra());
        }
        Integer minutes = in.number("minutes", null, 1);
        if (move) {
            LocalDateTime session = in.moment("move");
            LocalDateTime to = in.moment("to");
            if (!in.has("to")) {
                in.faults().fatal(in.pointer(), "“to” is missing: say where the class goes.");
            }
            return session == null || to == null ? null : new SessionChange.Move(session, to, minutes, in.extra());
        }
        LocalDateTime at = in.moment("add");
        String place = in.text("place", "");
        if (!in.has("minutes")) {
            in.faults().fatal(in.pointer(), "“minutes” is missing: give the length of the class that is added.");
        }
        return at == null || minutes == null || place == null
                ? null
                : new SessionChange.Add(at, minutes, place, in.extra());
    }
}
