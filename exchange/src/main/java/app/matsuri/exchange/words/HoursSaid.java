package app.matsuri.exchange.words;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.BookingRules;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.session.MeetingPattern;
import java.util.ArrayList;
import java.util.List;

/** Says when office hours are and how they are booked, so that {@link HoursWords} reads it again. */
public final class HoursSaid {

    private HoursSaid() {}

    /** A line for each window. */
    public static List<String> lines(OfficeHours hours) {
        return hours.windows().stream().map(HoursSaid::window).toList();
    }

    /** All of it in one line. */
    public static String line(OfficeHours hours) {
        BookingRules rules = hours.booking();
        String courses = hours.courses().isEmpty() ? "" : " for " + String.join(" and ", hours.courses());
        return String.join("; ", lines(hours))
                + (rules == null ? "" : ", " + how(hours))
                + courses
                + (hours.onDaysOff() ? ", on days off" : "");
    }

    /** How they are booked. */
    public static String how(OfficeHours hours) {
        BookingRules rules = hours.booking();
        List<String> parts = new ArrayList<>();
        if (rules == null) {
            parts.add("open without booking");
        } else {
            parts.add("in " + rules.minutes() + " min");
            if (rules.pause() > 0) {
                parts.add(rules.pause() + " min pause");
            }
            if (rules.groupTo() > 1) {
                parts.add("groups of " + rules.groupFrom() + " to " + rules.groupTo());
            }
            if (rules.places() > 1) {
                parts.add(rules.places() + " places");
            }
            if (rules.aWeek() != null) {
                parts.add(rules.aWeek() + " a week");
            }
            if (rules.aTerm() != null) {
                parts.add(rules.aTerm() + " a term");
            }
        }
        return String.join(", ", parts);
    }

    private static String window(MeetingPattern window) {
        boolean once = window.from() != null && window.from().equals(window.until());
        String days = once && window.from() != null ? Say.day(window.from()) : MeetsSaid.weekdays(window);
        String until = once || window.until() == null ? "" : " until " + Say.day(window.until());
        String from = once || window.from() == null ? "" : " from " + Say.day(window.from());
        return days + " " + Say.time(window.start()) + "-"
                + Say.end(window.start().plusMinutes(window.minutes()))
                + (window.place().isEmpty() ? "" : " " + window.place())
                + (window.link().isEmpty() ? "" : " " + window.link())
                + from
                + until;
    }
}
