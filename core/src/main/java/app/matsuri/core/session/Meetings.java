package app.matsuri.core.session;

import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.session.Session.Origin;
import app.matsuri.core.session.Sessions.Note;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/** The classes that meeting patterns give within a term. */
final class Meetings {

    private final TeachingCalendar calendar;
    private final Term term;
    private final Drafts drafts;

    Meetings(TeachingCalendar calendar, Drafts drafts) {
        this.calendar = calendar;
        this.term = calendar.term();
        this.drafts = drafts;
    }

    /** Adds those of a pattern; a rule that cannot be read, or gives none, is noted. */
    void of(MeetingPattern pattern) {
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
                drafts.note(Note.Kind.RULE_NOT_READ, null, Objects.requireNonNullElse(e.getMessage(), pattern.rule()));
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
            drafts.add(new Draft(
                    day.atTime(pattern.start()), pattern.minutes(), pattern.place(), pattern.link(), Origin.PATTERN));
        }
        if (days.isEmpty()) {
            drafts.note(Note.Kind.NO_SESSION_FROM_RULE, null, "“" + said(pattern) + "” gives no class in this term");
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
}
