package app.matsuri.core.session;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.session.Session.Origin;
import app.matsuri.core.session.Sessions.Lost;
import app.matsuri.core.session.Sessions.Note;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Works out the sessions of one section: patterns and swapped days within the term, then the session changes in
 * their order, then whole-day and part-day closures on what still stands where its pattern put it.
 *
 * @param course code of the course, for the scope of closures
 * @param section code of the section
 * @param beat the beat of a section without meetings; null where it meets
 * @param held names of sessions held empty
 * @param recorded names of sessions with a record of what was taught: they stand whatever closes or cancels them
 */
public record Timetable(
        String course,
        String section,
        List<MeetingPattern> patterns,
        Beat beat,
        List<SessionChange> changes,
        Set<LocalDateTime> held,
        Set<LocalDateTime> recorded) {

    /** Less than this many minutes are no class, no beginning of a lesson, and nothing that a lesson still lacks. */
    public static final int LEAST_MINUTES = 10;

    /** The sessions within the calendar's term. */
    public Sessions sessions(TeachingCalendar calendar) {
        return new Work(calendar).run();
    }

    private static final class Draft {
        final LocalDateTime name;
        LocalDateTime start;
        LocalDateTime end;
        int minutes;
        final String place;
        Origin origin;
        boolean cancelled;

        Draft(LocalDateTime start, int minutes, String place, Origin origin) {
            this.name = start;
            this.start = start;
            this.end = start.plusMinutes(minutes);
            this.minutes = minutes;
            this.place = place;
            this.origin = origin;
        }
    }

    private final class Work {
        private final TeachingCalendar calendar;
        private final Term term;
        private final List<Closure> concerning = new ArrayList<>();
        private final List<Draft> drafts = new ArrayList<>();
        private final Map<LocalDateTime, Draft> named = new HashMap<>();
        private final List<Lost> lost = new ArrayList<>();
        private final List<Note> notes = new ArrayList<>();

        Work(TeachingCalendar calendar) {
            this.calendar = calendar;
            this.term = calendar.term();
            for (Closure closure : term.closures()) {
                if (closure.concerns(course, section)) {
                    concerning.add(closure);
                }
            }
        }

        Sessions run() {
            if (patterns.isEmpty() && beat != null) {
                beats();
            }
            for (MeetingPattern pattern : patterns) {
                meetings(pattern);
            }
            changes.forEach(change -> change.on(made));
            drafts.forEach(this::close);
            Set<LocalDateTime> missing = new HashSet<>(held);
            missing.addAll(recorded);
            missing.stream()
                    .filter(name -> !named.containsKey(name))
                    .sorted()
                    .forEach(name -> note(Note.Kind.NAMES_NO_SESSION, name, "a hold or a record names no class"));
            List<Session> all = new ArrayList<>(drafts.size());
            for (Draft draft : drafts) {
                if (!draft.cancelled) {
                    all.add(session(draft));
                }
            }
            all.sort(Comparator.comparing(Session::start)); // stable: ties stay in the order of the file
            for (int i = 1; i < all.size(); i++) {
                if (all.get(i).start().isBefore(all.get(i - 1).end())
                        && all.get(i).origin() != Origin.BEAT) {
                    note(Note.Kind.OVERLAP, all.get(i).name(), "overlaps the class before it");
                }
            }
            lost.sort(Comparator.comparing(Lost::name));
            Set<LocalDateTime> gone = new HashSet<>();
            lost.forEach(l -> gone.add(l.name()));
            List<LocalDateTime> cancelled = drafts.stream()
                    .filter(d -> d.cancelled && !gone.contains(d.name))
                    .map(d -> d.name)
                    .sorted()
                    .toList();
            return Sessions.of(all, lost, cancelled, notes);
        }

        private void meetings(MeetingPattern pattern) {
            LocalDate anchor = pattern.from() == null ? term.first() : pattern.from();
            LocalDate from = anchor.isBefore(term.first()) ? term.first() : anchor;
            LocalDate until =
                    pattern.until() == null || pattern.until().isAfter(term.last()) ? term.last() : pattern.until();
            List<LocalDate> days;
            if (pattern.rule() == null) {
                days = from.isAfter(until)
                        ? List.of()
                        : from.datesUntil(until.plusDays(1)).toList();
            } else {
                try {
                    days = recurring(Recurrence.of(pattern.rule()), anchor, from, until);
                } catch (IllegalArgumentException e) {
                    note(Note.Kind.RULE_NOT_READ, null, e.getMessage());
                    return;
                }
            }
            if (!pattern.letters().isEmpty()) {
                days = days.stream()
                        .filter(day -> calendar.letter(day)
                                .filter(pattern.letters()::contains)
                                .isPresent())
                        .toList();
            }
            for (LocalDate day : days) {
                add(new Draft(day.atTime(pattern.start()), pattern.minutes(), pattern.place(), Origin.PATTERN));
            }
            if (days.isEmpty()) {
                note(Note.Kind.NO_SESSION_FROM_RULE, null, "“" + said(pattern) + "” gives no class in this term");
            }
        }

        private static String said(MeetingPattern pattern) {
            String letters = String.join(", ", pattern.letters());
            return pattern.rule() == null
                    ? "day " + letters
                    : pattern.rule() + (letters.isEmpty() ? "" : " on day " + letters);
        }

        private List<LocalDate> recurring(Recurrence recurrence, LocalDate anchor, LocalDate from, LocalDate until) {
            List<LocalDate> days = new ArrayList<>();
            for (LocalDate day : recurrence.dates(anchor, until)) {
                if (!day.isBefore(from) && !term.runsAs().containsKey(day)) {
                    days.add(day);
                }
            }
            term.runsAs().forEach((day, weekday) -> {
                if (!day.isBefore(from) && !day.isAfter(until) && recurrence.meetsAs(day, weekday, anchor)) {
                    days.add(day);
                }
            });
            return days;
        }

        /** One a week: on the weekday, or, where that is a day off, on the week's next teaching day, else its last. */
        private void beats() {
            if (beat.weekday() == null) {
                calendar.teachingDays().forEach(this::beat);
                return;
            }
            int ahead =
                    Math.floorMod(beat.weekday().getValue() - term.weekStart().getValue(), 7);
            for (int week = 1; week <= calendar.weeks(); week++) {
                LocalDate first = calendar.week(week).orElseThrow();
                LocalDate day = first.plusDays(ahead);
                if (wholeDay(day) != null || !term.contains(day)) {
                    LocalDate next = calendar.plus(day, 0).orElse(null);
                    LocalDate other = next != null && next.isBefore(first.plusDays(7))
                            ? next
                            : calendar.plus(day, -1).orElse(null);
                    day = other == null || other.isBefore(first) ? null : other;
                }
                if (day != null) {
                    beat(day);
                }
            }
        }

        private void beat(LocalDate day) {
            Draft draft = new Draft(day.atStartOfDay(), 0, "", Origin.BEAT);
            draft.end = day.atTime(23, 59);
            add(draft);
        }

        private void add(Draft draft) {
            if (named.containsKey(draft.name)) {
                note(Note.Kind.SAME_START, draft.name, "two patterns give the same start; the first one stands");
            } else {
                named.put(draft.name, draft);
                drafts.add(draft);
            }
        }

        /** What each kind of change does to the classes as they are so far; answers the class that it is about, null for none. */
        private final SessionChange.Cases<Draft> made = new SessionChange.Cases<>() {
            @Override
            public Draft cancel(SessionChange.Cancel cancel) {
                Draft draft = find(cancel.session());
                if (draft != null && !recorded.contains(draft.name)) {
                    draft.cancelled = true;
                }
                return draft;
            }

            @Override
            public Draft move(SessionChange.Move move) {
                Draft draft = find(move.session());
                if (draft != null && !draft.cancelled) {
                    draft.start = move.to();
                    draft.minutes = move.minutes() == null ? draft.minutes : move.minutes();
                    draft.end = draft.start.plusMinutes(draft.minutes);
                    draft.origin = draft.origin == Origin.ADDED ? Origin.ADDED : Origin.MOVED;
                    noteDayOff(draft);
                }
                return draft;
            }

            @Override
            public Draft add(SessionChange.Add add) {
                Draft draft = new Draft(add.at(), add.minutes(), add.place(), Origin.ADDED);
                drafts.add(draft);
                Draft before = named.get(draft.name);
                if (before == null || before.cancelled) {
                    named.put(draft.name, draft);
                }
                noteDayOff(draft);
                return draft;
            }
        };

        private Draft find(LocalDateTime name) {
            Draft draft = named.get(name);
            if (draft == null) {
                note(Note.Kind.NAMES_NO_SESSION, name, "a change names no class");
            }
            return draft;
        }

        private void noteDayOff(Draft draft) {
            Closure closure = wholeDay(draft.start.toLocalDate());
            if (closure != null) {
                note(Note.Kind.ON_DAY_OFF, draft.name, "stands on a day off: " + closure.reason());
            }
        }

        private Closure wholeDay(LocalDate day) {
            if (term.extraDays().contains(day)) {
                return null;
            }
            for (Closure closure : concerning) {
                if (closure.noClass() && closure.wholeDay() && closure.covers(day)) {
                    return closure;
                }
            }
            return null;
        }

        private void close(Draft draft) {
            if (draft.cancelled || draft.origin != Origin.PATTERN || recorded.contains(draft.name)) {
                return;
            }
            LocalDate day = draft.start.toLocalDate();
            Closure closure = wholeDay(day);
            if (closure != null) {
                lose(draft, closure);
            } else if (!term.extraDays().contains(day)) {
                shorten(draft);
            }
        }

        private void lose(Draft draft, Closure closure) {
            draft.cancelled = true;
            lost.add(new Lost(draft.name, closure.reason()));
        }

        /** Takes the minutes of part-day closures: edges move, a hole in the middle only costs its minutes. */
        private void shorten(Draft draft) {
            int length = draft.minutes;
            boolean[] taken = null;
            Closure last = null;
            for (Closure closure : concerning) {
                if (!closure.noClass() || closure.wholeDay()) {
                    continue;
                }
                for (LocalDate day = draft.start.toLocalDate();
                        !day.isAfter(draft.end.toLocalDate());
                        day = day.plusDays(1)) {
                    if (!closure.covers(day) || term.extraDays().contains(day)) {
                        continue;
                    }
                    int from = minutesBetween(draft.start, closure.begins(day));
                    int to = minutesBetween(draft.start, closure.ends(day));
                    for (int i = Math.max(0, from); i < Math.min(length, to); i++) {
                        taken = taken == null ? new boolean[length] : taken;
                        taken[i] = true;
                        last = closure;
                    }
                }
            }
            if (taken == null) {
                return;
            }
            int left = 0;
            int first = -1;
            int end = 0;
            for (int i = 0; i < length; i++) {
                if (!taken[i]) {
                    left++;
                    first = first < 0 ? i : first;
                    end = i + 1;
                }
            }
            if (left < LEAST_MINUTES) {
                lose(draft, last);
                return;
            }
            LocalDateTime begin = draft.start;
            draft.start = begin.plusMinutes(first);
            draft.end = begin.plusMinutes(end);
            draft.minutes = left;
        }

        private int minutesBetween(LocalDateTime a, LocalDateTime b) {
            return (int) java.time.Duration.between(a, b).toMinutes();
        }

        private Session session(Draft draft) {
            LocalDate day = draft.start.toLocalDate();
            boolean paused = false;
            if (!term.extraDays().contains(day)) {
                for (Closure closure : concerning) {
                    paused |= closure.planPauses()
                            && closure.covers(day)
                            && (closure.wholeDay()
                                    || !draft.start.isBefore(closure.begins(day))
                                            && !draft.end.isAfter(closure.ends(day)));
                }
            }
            return new Session(
                    draft.name,
                    draft.start,
                    draft.end,
                    draft.minutes,
                    draft.place,
                    draft.origin,
                    paused,
                    held.contains(draft.name),
                    day.isBefore(term.planStart()),
                    recorded.contains(draft.name));
        }

        private void note(Note.Kind kind, LocalDateTime session, String text) {
            notes.add(new Note(kind, session, text));
        }
    }
}
