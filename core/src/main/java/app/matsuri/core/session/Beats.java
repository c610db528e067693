package app.matsuri.core.session;

import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.session.Session.Origin;
import java.time.DayOfWeek;
import java.time.LocalDate;

/** The units of time of a section without meetings. */
final class Beats {

    private final TeachingCalendar calendar;
    private final DaysOff daysOff;
    private final Drafts drafts;

    Beats(TeachingCalendar calendar, DaysOff daysOff, Drafts drafts) {
        this.calendar = calendar;
        this.daysOff = daysOff;
        this.drafts = drafts;
    }

    /** One a week: on the weekday, or, where that is a day off, on the week's next teaching day, else its last. */
    void of(Beat beat) {
        DayOfWeek weekday = beat.weekday();
        if (weekday == null) {
            calendar.teachingDays().forEach(this::add);
            return;
        }
        Term term = calendar.term();
        int ahead = Math.floorMod(weekday.getValue() - term.weekStart().getValue(), 7);
        for (int week = 1; week <= calendar.weeks(); week++) {
            LocalDate first = calendar.week(week).orElseThrow();
            LocalDate day = first.plusDays(ahead);
            if (daysOff.wholeDay(day).isPresent() || !term.contains(day)) {
                LocalDate next = calendar.plus(day, 0).orElse(null);
                LocalDate other = next != null && next.isBefore(first.plusDays(7))
                        ? next
                        : calendar.plus(day, -1).orElse(null);
                day = other == null || other.isBefore(first) ? null : other;
            }
            if (day != null) {
                add(day);
            }
        }
    }

    private void add(LocalDate day) {
        Draft draft = new Draft(day.atStartOfDay(), 0, "", "", Origin.BEAT);
        draft.end = day.atTime(23, 59);
        drafts.add(draft);
    }
}
