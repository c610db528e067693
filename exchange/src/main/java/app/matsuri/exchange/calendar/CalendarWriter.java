package app.matsuri.exchange.calendar;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import java.time.Instant;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.Map;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Categories;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableTransp;

/** Writes days off and classes as calendar files (RFC 5545): folded at 75 octets, the ends of days exclusive. */
public final class CalendarWriter {

    private CalendarWriter() {}

    /**
     * The days off of a term.
     *
     * @param made the moment that stands as DTSTAMP
     */
    public static String daysOff(Term term, Instant made) {
        Calendar calendar = CalendarText.begin("Term");
        Map<String, Integer> seen = new HashMap<>();
        boolean zoned = false;
        for (Closure closure : term.closures()) {
            String days = "off-" + closure.first() + "-" + closure.last();
            String name = closure.reason().isEmpty() ? "Day off" : closure.reason();
            VEvent event;
            if (closure.wholeDay()) {
                event = new VEvent(closure.first(), closure.last().plusDays(1), name);
            } else {
                zoned = true;
                event = new VEvent(
                        closure.first().atTime(closure.from()).atZone(term.zone()),
                        closure.ends(closure.first()).atZone(term.zone()),
                        name);
                if (closure.last().isAfter(closure.first())) {
                    event.add(new net.fortuna.ical4j.model.property.RRule<>("FREQ=DAILY;COUNT="
                            + (closure.last().toEpochDay() - closure.first().toEpochDay() + 1)));
                }
            }
            finish(event, days + "-" + seen.merge(days, 1, Integer::sum), made);
            event.add(new Categories(closure.kind()));
            event.replace(ImmutableTransp.TRANSPARENT);
            calendar.add(event);
        }
        if (zoned) {
            CalendarText.zone(calendar, term.zone(), term.first(), term.last());
        }
        return CalendarText.written(calendar);
    }

    /** The classes of all sections of a term. */
    public static String sessions(Schedule schedule, Instant made) {
        Calendar calendar = CalendarText.begin("Term");
        Term term = schedule.calendar().term();
        ZoneId zone = term.zone();
        CalendarText.zone(calendar, zone, term.first(), term.last());
        for (SectionSchedule in : schedule.sections()) {
            for (Session session : in.sessions().all()) {
                if (session.origin() == Session.Origin.BEAT) {
                    continue;
                }
                VEvent event = new VEvent(
                        session.start().atZone(zone),
                        CalendarText.end(session.start(), session.end(), zone),
                        in.course().code() + " " + in.section().code());
                String key = in.key() + "-" + session.name();
                finish(event, key.replaceAll("[^A-Za-z0-9-]", "-"), made);
                if (!session.place().isEmpty()) {
                    event.add(new Location(session.place()));
                }
                calendar.add(event);
            }
        }
        return CalendarText.written(calendar);
    }

    private static void finish(VEvent event, String uid, Instant made) {
        event.removeAll("UID", "DTSTAMP");
        event.add(new Uid(uid + "@matsuri"));
        event.add(new DtStamp(made));
    }
}
