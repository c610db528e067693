package app.matsuri.core.change.hours;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.BookingRules;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.plan.With;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.core.session.Recurrence;

/** Adds office hours, or puts them in the place of those with their id. */
public record PutOfficeHours(OfficeHours hours) implements Change {

    /** The most characters of a title. */
    private static final int LONGEST = 200;

    @Override
    public Outcome apply(Decisions before) {
        if (hours.title().isBlank()) {
            throw new Refused("Office hours need a title.");
        }
        if (hours.title().length() > LONGEST || hours.howToCome().length() > 10 * LONGEST) {
            throw new Refused("The title of office hours has " + LONGEST
                    + " characters at the most, words on how to come " + 10 * LONGEST + ".");
        }
        if (hours.tooMany()) {
            throw new Refused("Office hours have " + OfficeHours.MOST_WINDOWS + " times and " + OfficeHours.MOST_SLOTS
                    + " slots at the most: make slots longer, or times fewer.");
        }
        if (hours.windows().isEmpty() && hours.changes().isEmpty()) {
            throw new Refused("Say when: Tue 13-15, for one.");
        }
        hours.courses().forEach(code -> Find.course(before, code));
        hours.windows().forEach(this::check);
        return Outcome.of(
                before.withOfficeHours(With.put(before.officeHours(), h -> h.id().equals(hours.id()), hours)));
    }

    private void check(MeetingPattern window) {
        BookingRules rules = hours.booking();
        if (window.rule() != null) {
            try {
                Recurrence.of(window.rule());
            } catch (IllegalArgumentException e) {
                throw new Refused("“" + window.rule() + "”: " + e.getMessage());
            }
        }
        int left = 24 * 60 - window.start().toSecondOfDay() / 60;
        if (window.minutes() > left) {
            throw new Refused("Office hours end on the day on which they begin.");
        }
        if (rules != null && rules.minutes() > window.minutes()) {
            throw new Refused("A slot of " + rules.minutes() + " minutes is longer than the time from " + window.start()
                    + ", which has " + window.minutes() + ".");
        }
    }

    @Override
    public String sentence(Decisions before) {
        return (before.officeHours(hours.id()).isPresent() ? "Change office hours “" : "Add office hours “")
                + hours.title() + "”";
    }
}
