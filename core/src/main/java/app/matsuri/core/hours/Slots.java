package app.matsuri.core.hours;

import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.plan.BookingRules;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.core.session.Session;
import app.matsuri.core.session.Sessions;
import app.matsuri.core.session.Timetable;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The slots of office hours within a term: computed, never stored.
 *
 * @param all in time order
 * @param lost those that a day off took away, in time order
 * @param withdrawn names of those that were withdrawn by hand, in time order
 * @param notes what a person should know about changes, clashes and rules behind them
 */
public record Slots(
        OfficeHours of,
        List<Slot> all,
        List<Sessions.Lost> lost,
        List<LocalDateTime> withdrawn,
        List<Sessions.Note> notes) {

    /** The slots of those hours. Pure; linear in days and slots. */
    public static Slots of(TeachingCalendar calendar, OfficeHours hours) {
        TeachingCalendar in =
                hours.onDaysOff() ? TeachingCalendar.of(calendar.term().withClosures(List.of())) : calendar;
        List<MeetingPattern> cut = hours.windows().stream()
                .flatMap(w -> cut(w, hours.booking()).stream())
                .toList();
        String course = hours.courses().size() == 1 ? hours.courses().get(0) : "";
        Sessions sessions = new Timetable(course, "", cut, null, hours.changes(), Set.of(), Set.of()).sessions(in);
        List<Slot> all = sessions.all().stream()
                .map(s -> new Slot(
                        hours.id(),
                        s.name(),
                        s.start(),
                        s.end(),
                        s.place(),
                        s.link(),
                        hours.blocked().contains(s.name()),
                        s.origin() != Session.Origin.PATTERN))
                .toList();
        return new Slots(hours, all, sessions.lost(), sessions.cancelled(), sessions.notes());
    }

    /** A window cut into slots, with what is left at its end not given out. */
    private static List<MeetingPattern> cut(MeetingPattern window, @Nullable BookingRules rules) {
        if (rules == null) {
            return List.of(window);
        }
        List<MeetingPattern> slots = new ArrayList<>();
        for (int at = 0; at + rules.minutes() <= window.minutes(); at += rules.minutes() + rules.pause()) {
            slots.add(window.part(at, rules.minutes()));
        }
        return slots;
    }

    /** The slot of that name. */
    public Optional<Slot> slot(LocalDateTime name) {
        return all.stream().filter(s -> s.name().equals(name)).findFirst();
    }

    /** Why the slot of that name is not there: the reason of a day off, or empty where it was taken out by hand or never was. */
    public String why(LocalDateTime name) {
        return lost.stream()
                .filter(l -> l.name().equals(name))
                .map(Sessions.Lost::reason)
                .findFirst()
                .orElse("");
    }
}
