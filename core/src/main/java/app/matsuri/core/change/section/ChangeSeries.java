package app.matsuri.core.change.section;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.core.session.Recurrence;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Other times, another length, place or link for a series of classes, all of it or from a day on. It stays one series:
 * from a day on, the pattern ends the day before and goes on as changed.
 *
 * @param pattern which of the section's patterns, from 0
 * @param from the first day that changes, inclusive; null for all
 * @param meets the pattern as it is to be
 */
public record ChangeSeries(
        String course,
        String section,
        int pattern,
        @Nullable LocalDate from,
        MeetingPattern meets) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Section in = Find.section(before, course, section);
        if (pattern < 0 || pattern >= in.meets().size()) {
            throw new Refused("“" + course + " " + section + "” has no such series of classes any more. Look again.");
        }
        List<MeetingPattern> patterns = new ArrayList<>(in.meets());
        MeetingPattern was = patterns.get(pattern);
        LocalDate begins = was.from() == null ? before.term().first() : was.from();
        if (from == null || !from.isAfter(begins)) {
            patterns.set(pattern, meets);
        } else {
            LocalDate ends = was.until() == null ? before.term().last() : was.until();
            if (from.isAfter(ends)) {
                throw new Refused("That series ends on " + Say.day(ends) + ", before " + Say.day(from) + ".");
            }
            patterns.set(pattern, was.within(was.from(), from.minusDays(1)));
            patterns.add(pattern + 1, meets.within(onward(was, begins, ends), was.until()));
        }
        return Outcome.of(before.withCourse(course, c -> c.withSection(in.withMeets(patterns))));
    }

    /** Where the changed series is anchored: every k weeks go on being counted as before. */
    private @Nullable LocalDate onward(MeetingPattern was, LocalDate begins, LocalDate ends) {
        if (was.rule() == null
                || !was.rule().contains("INTERVAL") && !was.rule().contains("COUNT")) {
            return from;
        }
        if (was.rule().contains("COUNT")) {
            throw new Refused("That series ends after a number of classes, so it can only be changed as a whole.");
        }
        return Recurrence.of(was.rule()).dates(begins, ends).stream()
                .filter(day -> !day.isBefore(from))
                .findFirst()
                .orElse(from);
    }

    @Override
    public String sentence(Decisions before) {
        return (from == null ? "Change all classes of a series" : "Change the classes from " + Say.day(from) + " on")
                + Find.in(course, section);
    }
}
