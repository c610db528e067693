package app.matsuri.exchange.plan;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.plan.BookingRules;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.core.session.SessionChange;
import java.time.LocalDateTime;
import java.util.HashSet;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Reads office hours. */
public final class HoursReader {

    private HoursReader() {}

    /** Office hours; null when a fault leaves them without meaning. */
    public static @Nullable OfficeHours hours(In in) {
        String id = in.id("id");
        String title = in.required("title");
        List<String> courses = in.texts("courses", "a course's code in quotes", x -> x);
        List<MeetingPattern> windows = in.objects("windows", SectionReader::pattern);
        BookingRules booking = in.object("booking", HoursReader::booking);
        String howToCome = in.text("howToCome", "");
        boolean onDaysOff = in.flag("onDaysOff", false);
        List<SessionChange> changes = in.objects("changes", SectionReader::change);
        List<LocalDateTime> blocked = in.texts("blocked", "a moment such as 2026-10-02T14:00", LocalDateTime::parse);
        Extra extra = in.extra();
        if (id == null || title == null || howToCome == null || in.has("booking") && booking == null) {
            return null;
        }
        OfficeHours hours = new OfficeHours(
                id, title, courses, windows, booking, howToCome, onDaysOff, changes, new HashSet<>(blocked), extra);
        if (hours.tooMany()) {
            in.faults()
                    .fatal(
                            in.pointer(),
                            "Office hours have " + OfficeHours.MOST_WINDOWS + " times and " + OfficeHours.MOST_SLOTS
                                    + " slots at the most.");
            return null;
        }
        return hours;
    }

    /** How slots are booked; null when a fault leaves it without meaning. */
    static @Nullable BookingRules booking(In in) {
        Integer minutes = in.number("minutes", 15, 5);
        Integer pause = in.number("pause", 0, 0);
        Integer places = in.number("places", 1, 1);
        Integer groupFrom = in.number("groupFrom", 1, 1);
        Integer groupTo = in.number("groupTo", 1, 1);
        Integer aWeek = in.number("aWeek", null, 1);
        Integer aTerm = in.number("aTerm", null, 1);
        Integer fromDays = in.number("fromDays", 14, 0);
        Integer untilHours = in.number("untilHours", 1, 0);
        Integer giveBackHours = in.number("giveBackHours", 1, 0);
        boolean namesSeen = in.flag("namesSeen", false);
        in.extra();
        if (minutes == null
                || pause == null
                || places == null
                || groupFrom == null
                || groupTo == null
                || fromDays == null
                || untilHours == null
                || giveBackHours == null) {
            return null;
        }
        try {
            return new BookingRules(
                    minutes,
                    pause,
                    places,
                    groupFrom,
                    groupTo,
                    aWeek,
                    aTerm,
                    fromDays,
                    untilHours,
                    giveBackHours,
                    namesSeen);
        } catch (IllegalArgumentException e) {
            in.faults().fatal(in.pointer(), String.valueOf(e.getMessage()));
            return null;
        }
    }
}
