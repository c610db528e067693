package app.matsuri.core.shown;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.plan.DayNote;
import app.matsuri.core.plan.WeekNote;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What was told, laid out in weeks and days. */
final class ShownWeeks {

    /** Days off that everybody knows of; why else a class is off is told when the class is told away. */
    private static final Set<String> KNOWN = Set.of("public-holiday", "break");

    private final SectionSchedule in;
    private final @Nullable LocalDate upTo;
    private final boolean teacher;
    private final Map<LocalDate, List<ShownSession>> sessions = new HashMap<>();
    private final Map<LocalDate, List<ShownThing>> due = new HashMap<>();
    private final Map<LocalDate, List<ShownThing>> opens = new HashMap<>();
    private final Map<LocalDate, List<ShownThing>> closes = new HashMap<>();
    private final List<ShownNotice> notices;

    private ShownWeeks(
            SectionSchedule in,
            @Nullable LocalDate upTo,
            boolean teacher,
            List<ShownSession> classes,
            List<ShownThing> things,
            List<ShownNotice> notices) {
        this.in = in;
        this.upTo = upTo;
        this.teacher = teacher;
        this.notices = notices;
        classes.forEach(session -> put(sessions, session.start(), session));
        for (ShownThing thing : things) {
            LocalDateTime main = thing.main();
            put(due, main, thing);
            for (Which which : List.of(Which.OPENS, Which.CLOSES)) {
                LocalDateTime at = thing.at(which);
                if (at != null && !at.toLocalDate().equals(main.toLocalDate())) {
                    put(which == Which.OPENS ? opens : closes, at, thing);
                }
            }
        }
        opens.values().forEach(those -> those.sort(by(Which.OPENS)));
        closes.values().forEach(those -> those.sort(by(Which.CLOSES)));
    }

    private static Comparator<ShownThing> by(Which which) {
        return Comparator.comparing(thing -> thing.dates().getOrDefault(which, LocalDateTime.MAX));
    }

    private static <T> void put(Map<LocalDate, List<T>> days, LocalDateTime at, T one) {
        days.computeIfAbsent(at.toLocalDate(), d -> new ArrayList<>()).add(one);
    }

    static List<ShownWeek> of(
            SectionSchedule in,
            @Nullable LocalDate upTo,
            boolean teacher,
            List<ShownSession> sessions,
            List<ShownThing> things,
            List<ShownNotice> notices) {
        ShownWeeks laid = new ShownWeeks(in, upTo, teacher, sessions, things, notices);
        List<ShownWeek> weeks = new ArrayList<>();
        for (int k = 1; k <= in.calendar().weeks(); k++) {
            weeks.add(laid.week(k, in.calendar().week(k).orElseThrow()));
        }
        return weeks;
    }

    private ShownWeek week(int number, LocalDate first) {
        WeekNote note = told(first)
                ? WeekNote.of(
                        in.course().besides().weekNotes(), first, in.section().code())
                : null;
        List<ShownDay> days = new ArrayList<>();
        for (int i = 0; i < 7; i++) {
            days.add(day(first.plusDays(i)));
        }
        return new ShownWeek(
                number, first, note == null ? "" : note.headline(), note == null ? List.of() : note.targets(), days);
    }

    /** Whether what is said of a day may be shown: nothing beyond the day up to which dates were told. */
    private boolean told(LocalDate day) {
        return upTo == null || !day.isAfter(upTo);
    }

    private ShownDay day(LocalDate day) {
        List<ShownSession> classes = sessions.getOrDefault(day, List.of());
        List<String> words = told(day)
                ? in.course().besides().dayNotes().stream()
                        .filter(n -> n.date().equals(day)
                                && (teacher || !n.own())
                                && n.concerns(in.section().code()))
                        .map(DayNote::text)
                        .toList()
                : List.of();
        return new ShownDay(
                day,
                classes.isEmpty() ? off(day) : "",
                words,
                classes,
                due.getOrDefault(day, List.of()),
                opens.getOrDefault(day, List.of()),
                closes.getOrDefault(day, List.of()),
                notices.stream().filter(n -> n.covers(day)).toList());
    }

    private String off(LocalDate day) {
        return in.calendar().term().closures().stream()
                .filter(c -> c.noClass()
                        && c.wholeDay()
                        && c.covers(day)
                        && KNOWN.contains(c.kind())
                        && c.concerns(in.course().code(), in.section().code()))
                .map(Closure::reason)
                .findFirst()
                .orElse("");
    }
}
