package app.matsuri.core.change.notice;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.Section;
import app.matsuri.core.schedule.NoticeDates;
import app.matsuri.core.schedule.NoticeDates.Entry;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Moves a notice, or one entry of a series, to a day. It keeps its times of day and its length; what its end hangs on
 * stays what it hangs on, and a beginning that hung on something becomes a fixed one.
 *
 * @param section where it was taken from; its present times there are the ones that move; null for its usual ones
 * @param entry the day that names the entry of a series; null for a notice that is once
 * @param to the day it goes to; null to leave the entry out
 * @param time another time of day for one entry of a timed series; null to keep its own
 */
public record MoveNotice(
        String course,
        @Nullable String section,
        String notice,
        @Nullable LocalDate entry,
        @Nullable LocalDate to,
        @Nullable LocalTime time)
        implements Change {

    /** To another day, at its own time. */
    public MoveNotice(String course, String section, String notice, LocalDate entry, LocalDate to) {
        this(course, section, notice, entry, to, null);
    }

    @Override
    public Outcome apply(Decisions before) {
        Notice was = Find.notice(before, course, notice);
        NoticeTime when = section == null ? was.when() : was.when(section);
        NoticeTime moved = when.series() ? entry(before, was.title(), when) : once(before, was, when);
        Notice now = section != null && was.sections().containsKey(section)
                ? was.withWhen(section, moved)
                : was.withWhen(moved);
        return Outcome.of(before.withCourse(course, c -> c.withNotice(now)));
    }

    private NoticeTime entry(Decisions before, String title, NoticeTime was) {
        if (entry == null) {
            throw new Refused(
                    "“" + title + "” is a series: take one of its days on the Wall, or open it to change all of it.");
        }
        Entry found = dates(before).entries().stream()
                .filter(e -> entry.equals(e.first()))
                .findFirst()
                .orElseThrow(() -> new Refused("“" + title + "” has nothing on " + Say.day(entry) + " any more."));
        if (to == null) {
            return was.instead(entry, null);
        }
        if (time != null && found.allDay()) {
            throw new Refused("“" + title + "” is for whole days and has no time of day."
                    + " Give the series a time first, or only another day.");
        }
        return was.instead(entry, to.atTime(time == null ? found.beginning().toLocalTime() : time));
    }

    private NoticeTime once(Decisions before, Notice was, NoticeTime when) {
        if (time != null) {
            throw new Refused("“" + was.title() + "” is no series: open it to change its time.");
        }
        if (to == null) {
            throw new Refused("“" + was.title() + "” is no series: take it out as a whole.");
        }
        Entry found = dates(before).entries().get(0);
        LocalDateTime begins = to.atTime(found.resolved() ? found.beginning().toLocalTime() : LocalTime.MIDNIGHT);
        DateRule ends = when.ends();
        if (ends != null && ends.plain() && found.resolved()) {
            long days = ChronoUnit.DAYS.between(found.beginning().toLocalDate(), to);
            ends = DateRule.at(ends.typed().plusDays(days));
        }
        return NoticeTime.once(when.allDay(), DateRule.at(begins), ends);
    }

    private NoticeDates dates(Decisions before) {
        Notice was = Find.notice(before, course, notice);
        String seen = section != null
                ? section
                : Find.course(before, course).sections().stream()
                        .map(Section::code)
                        .filter(code -> was.concerns(code) && !was.sections().containsKey(code))
                        .findFirst()
                        .orElse(null);
        return Find.follows(before, course, seen)
                .notice(course, notice)
                .orElseThrow(() -> new Refused("“" + was.title() + "” is not for section " + seen + "."));
    }

    @Override
    public String sentence(Decisions before) {
        String title = "“" + Find.notice(before, course, notice).title() + "”";
        return to == null
                ? "Leave out " + title + (entry == null ? "" : " on " + Say.day(entry))
                : "Move " + title + (entry == null ? "" : " of " + Say.day(entry))
                        + (time != null && to.equals(entry) ? "" : " to " + Say.day(to))
                        + (time == null ? "" : (to.equals(entry) ? " to " : ", ") + time);
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        return Set.of(Find.hand(course, notice));
    }
}
