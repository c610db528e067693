package app.matsuri.exchange.calendar;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.core.session.Recurrence;
import app.matsuri.core.session.SessionChange;
import app.matsuri.exchange.calendar.CalendarReader.Event;
import app.matsuri.exchange.plan.Words;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads an institution's timetable into sections: repeated entries become their patterns, entries that stand one by one
 * become a weekly pattern where they make one, and what departs from it becomes a change of a single class.
 */
public final class TimetableReader {

    /** Fewer weekly entries than this are single classes. */
    private static final int LEAST_WEEKS = 3;

    private static final Pattern TITLE = Pattern.compile(
            "^\\s*([\\p{Lu}]{2,8}\\s?\\d{1,4}\\p{Lu}{0,2})(?:[\\s/,:-]+(?:sec(?:tion|\\.)?\\s*)?([\\p{Lu}\\d]{1,4})(?![\\p{L}\\d]))?[\\s,:–-]*(.*)$");

    private TimetableReader() {}

    /**
     * One section of the timetable.
     *
     * @param course code, or the whole title where none stands in it
     * @param section code; A where none is named
     * @param entries how many entries of the file it comes from
     */
    public record Group(
            String course,
            String title,
            String section,
            List<MeetingPattern> meets,
            List<SessionChange> changes,
            int entries) {}

    /** The sections that the events make within the term, in order of their titles. */
    public static List<Group> read(List<Event> events, Term term) {
        Map<String, List<Event>> byTitle = new TreeMap<>();
        for (Event event : events) {
            if (!event.allDay() && !event.summary().isBlank() && event.end().isAfter(event.start())) {
                byTitle.computeIfAbsent(event.summary().replaceAll("\\s+", " ").strip(), t -> new ArrayList<>())
                        .add(event);
            }
        }
        List<Group> groups = new ArrayList<>();
        byTitle.forEach((title, all) -> {
            Group group = group(title, all, term);
            if (!group.meets().isEmpty() || !group.changes().isEmpty()) {
                groups.add(group);
            }
        });
        return groups;
    }

    private static Group group(String summary, List<Event> events, Term term) {
        Matcher m = TITLE.matcher(summary);
        boolean coded = m.matches();
        String course = coded ? m.group(1) : summary.length() > 60 ? summary.substring(0, 60) : summary;
        String section = coded && m.group(2) != null ? m.group(2) : "A";
        String title = coded && !m.group(3).isBlank() ? m.group(3).strip() : course;
        List<MeetingPattern> meets = new ArrayList<>();
        List<SessionChange> changes = new ArrayList<>();
        List<Event> single = new ArrayList<>();
        for (Event event : events) {
            if (!event.rule().isEmpty()) {
                repeated(event, term, meets, changes);
            } else if (event.instead() == null && !event.cancelled() && term.contains(event.firstDay())) {
                single.add(event);
            }
        }
        for (Event event : events) {
            if (event.instead() != null) {
                changes.add(
                        event.cancelled()
                                ? new SessionChange.Cancel(event.instead(), Extra.NONE)
                                : new SessionChange.Move(event.instead(), event.start(), minutes(event), Extra.NONE));
            }
        }
        weekly(single, term, meets, changes);
        changes.sort(Comparator.comparing(SessionChange::name));
        return new Group(course, title, section, merged(meets), changes, events.size());
    }

    private static int minutes(Event event) {
        return (int) Math.max(1, Duration.between(event.start(), event.end()).toMinutes());
    }

    private static void repeated(Event event, Term term, List<MeetingPattern> meets, List<SessionChange> changes) {
        LocalDate from = event.firstDay();
        if (from.isAfter(term.last())) {
            return;
        }
        String rule = event.rule().toUpperCase(java.util.Locale.ROOT);
        Matcher until = Pattern.compile(";?UNTIL=(\\d{8})[^;]*").matcher(rule);
        LocalDate last = null;
        if (until.find()) {
            last = LocalDate.parse(until.group(1), java.time.format.DateTimeFormatter.BASIC_ISO_DATE);
            rule = until.replaceFirst("");
        }
        if (!rule.contains("BYDAY") && rule.contains("FREQ=WEEKLY")) {
            rule += ";BYDAY=" + Words.weekday(from.getDayOfWeek());
        }
        if (last != null && last.isBefore(term.first())) {
            return;
        }
        meets.add(new MeetingPattern(
                rule,
                List.of(),
                event.start().toLocalTime(),
                minutes(event),
                event.place(),
                "",
                from,
                last,
                Extra.NONE));
        event.except().stream()
                .filter(gone -> term.contains(gone.toLocalDate()))
                .forEach(gone -> changes.add(new SessionChange.Cancel(gone, Extra.NONE)));
    }

    private record Slot(DayOfWeek weekday, LocalTime start, int minutes, String place) {}

    /** Weekly patterns of entries that stand one by one, with cancelled weeks; what makes no pattern is added. */
    private static void weekly(List<Event> events, Term term, List<MeetingPattern> meets, List<SessionChange> changes) {
        Map<Slot, TreeSet<LocalDate>> slots = new LinkedHashMap<>();
        for (Event event : events) {
            Slot slot = new Slot(
                    event.firstDay().getDayOfWeek(), event.start().toLocalTime(), minutes(event), event.place());
            slots.computeIfAbsent(slot, s -> new TreeSet<>()).add(event.firstDay());
        }
        slots.forEach((slot, days) -> {
            if (days.size() < LEAST_WEEKS) {
                days.forEach(day -> changes.add(
                        new SessionChange.Add(day.atTime(slot.start()), slot.minutes(), slot.place(), Extra.NONE)));
                return;
            }
            int step = step(days);
            String every = step == 1 ? "" : "INTERVAL=" + step + ";";
            meets.add(new MeetingPattern(
                    "FREQ=WEEKLY;" + every + "BYDAY=" + Words.weekday(slot.weekday()),
                    List.of(),
                    slot.start(),
                    slot.minutes(),
                    slot.place(),
                    "",
                    days.first(),
                    days.last(),
                    Extra.NONE));
            for (LocalDate day = days.first(); day.isBefore(days.last()); day = day.plusWeeks(step)) {
                if (!days.contains(day) && !off(day, term)) {
                    changes.add(new SessionChange.Cancel(day.atTime(slot.start()), Extra.NONE));
                }
            }
        });
    }

    private static boolean off(LocalDate day, Term term) {
        return term.closures().stream().anyMatch(c -> c.noClass() && c.wholeDay() && c.everyone() && c.covers(day));
    }

    /** How many weeks lie between them where that is always a multiple of two or more; else 1. */
    private static int step(TreeSet<LocalDate> days) {
        int step = 0;
        LocalDate before = null;
        for (LocalDate day : days) {
            if (before != null) {
                step = gcd(step, (int) ((day.toEpochDay() - before.toEpochDay()) / 7));
            }
            before = day;
        }
        return Math.max(1, Math.min(step, 8));
    }

    private static int gcd(int a, int b) {
        return b == 0 ? a : gcd(b, a % b);
    }

    /** Weekly patterns that differ only in their weekday become one. */
    private static List<MeetingPattern> merged(List<MeetingPattern> patterns) {
        Map<List<Object>, MeetingPattern> found = new LinkedHashMap<>();
        List<MeetingPattern> others = new ArrayList<>();
        for (MeetingPattern p : patterns) {
            if (!rule(p).matches("FREQ=WEEKLY;BYDAY=[A-Z,]+")) {
                others.add(p);
                continue;
            }
            List<Object> key = List.of(
                    p.start(),
                    p.minutes(),
                    p.place(),
                    p.from() == null ? LocalDate.MIN : week(p.from()),
                    p.until() == null ? LocalDate.MAX : week(p.until()));
            found.merge(key, p, TimetableReader::both);
        }
        List<MeetingPattern> all = new ArrayList<>(found.values());
        all.addAll(others);
        all.sort(Comparator.comparing(MeetingPattern::start));
        return all;
    }

    private static String rule(MeetingPattern pattern) {
        return Objects.requireNonNullElse(pattern.rule(), "");
    }

    private static LocalDate week(LocalDate day) {
        return day.with(java.time.temporal.TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }

    private static MeetingPattern both(MeetingPattern a, MeetingPattern b) {
        Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
        for (MeetingPattern p : List.of(a, b)) {
            for (String day : rule(p).replaceFirst(".*BYDAY=", "").split(",")) {
                days.add(Words.weekday(day));
            }
        }
        LocalDate from =
                a.from() == null || b.from() == null ? null : a.from().isBefore(b.from()) ? a.from() : b.from();
        LocalDate until =
                a.until() == null || b.until() == null ? null : a.until().isAfter(b.until()) ? a.until() : b.until();
        String rule = "FREQ=WEEKLY;BYDAY="
                + String.join(",", days.stream().map(Words::weekday).toList());
        return new MeetingPattern(
                rule, List.of(), a.start(), a.minutes(), a.place(), a.link(), from, until, Extra.NONE);
    }

    /** Whether a rule of the file is one that meetings can have. */
    public static boolean reads(MeetingPattern pattern) {
        try {
            Recurrence.of(rule(pattern));
            return true;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
