package app.matsuri.core.session;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.session.Session.Origin;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What the days off of a term do to the classes of a section. */
final class DaysOff {

    private final Term term;
    private final List<Closure> concerning = new ArrayList<>();
    private final Drafts drafts;
    private final Set<LocalDateTime> recorded;

    /** @param recorded names of classes with a record: they stand whatever closes */
    DaysOff(Term term, String course, String section, Drafts drafts, Set<LocalDateTime> recorded) {
        this.term = term;
        this.drafts = drafts;
        this.recorded = recorded;
        for (Closure closure : term.closures()) {
            if (closure.concerns(course, section)) {
                concerning.add(closure);
            }
        }
    }

    /** The day off without class that takes the whole day. */
    Optional<Closure> wholeDay(LocalDate day) {
        if (term.extraDays().contains(day)) {
            return Optional.empty();
        }
        for (Closure closure : concerning) {
            if (closure.noClass() && closure.wholeDay() && closure.covers(day)) {
                return Optional.of(closure);
            }
        }
        return Optional.empty();
    }

    /** Takes a class that still stands where its pattern put it off a day off, or the minutes of a part of one. */
    void close(Draft draft) {
        if (draft.cancelled || draft.origin != Origin.PATTERN || recorded.contains(draft.name)) {
            return;
        }
        LocalDate day = draft.start.toLocalDate();
        Optional<Closure> closure = wholeDay(day);
        if (closure.isPresent()) {
            drafts.lose(draft, closure.get().reason());
        } else if (!term.extraDays().contains(day)) {
            shorten(draft);
        }
    }

    /** Takes the minutes of part-day closures: edges move, a hole in the middle only costs its minutes. */
    private void shorten(Draft draft) {
        int length = draft.minutes;
        boolean[] taken = null;
        String last = "";
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
                    last = closure.reason();
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
        if (left < Timetable.LEAST_MINUTES) {
            drafts.lose(draft, last);
            return;
        }
        LocalDateTime begin = draft.start;
        draft.start = begin.plusMinutes(first);
        draft.end = begin.plusMinutes(end);
        draft.minutes = left;
    }

    /** Whether the plan stands still in a class. */
    boolean paused(Draft draft) {
        LocalDate day = draft.start.toLocalDate();
        return !term.extraDays().contains(day)
                && concerning.stream()
                        .anyMatch(closure -> closure.planPauses()
                                && closure.covers(day)
                                && (closure.wholeDay()
                                        || !draft.start.isBefore(closure.begins(day))
                                                && !draft.end.isAfter(closure.ends(day))));
    }

    private int minutesBetween(LocalDateTime a, LocalDateTime b) {
        return (int) Duration.between(a, b).toMinutes();
    }
}
