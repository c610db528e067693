package app.matsuri.exchange.calendar;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.HashMap;
import java.util.Map;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.TimeZoneRegistryFactory;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.component.VTimeZone;
import net.fortuna.ical4j.model.property.Categories;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableTransp;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/** Writes days off and classes as calendar files (RFC 5545): folded at 75 octets, the ends of days exclusive. */
public final class CalendarWriter {

    private static final int MOST_OCTETS = 75;

    private CalendarWriter() {}

    /**
     * The days off of a term.
     *
     * @param made the moment that stands as DTSTAMP
     */
    public static String daysOff(Term term, Instant made) {
        Calendar calendar = begin();
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
            zone(calendar, term.zone());
        }
        return written(calendar);
    }

    /** The classes of all sections of a term. */
    public static String sessions(Schedule schedule, Instant made) {
        Calendar calendar = begin();
        ZoneId zone = schedule.calendar().term().zone();
        zone(calendar, zone);
        for (SectionSchedule in : schedule.sections()) {
            for (Session session : in.sessions().all()) {
                if (session.origin() == Session.Origin.BEAT) {
                    continue;
                }
                VEvent event = new VEvent(
                        session.start().atZone(zone),
                        end(session, zone),
                        in.course().code() + " " + in.section().code());
                String key = in.key() + "-" + session.name();
                finish(event, key.replaceAll("[^A-Za-z0-9-]", "-"), made);
                if (!session.place().isEmpty()) {
                    event.add(new Location(session.place()));
                }
                calendar.add(event);
            }
        }
        return written(calendar);
    }

    /** Its end; where the clock skips some of it, as much later as it is long. */
    private static ZonedDateTime end(Session session, ZoneId zone) {
        ZonedDateTime start = session.start().atZone(zone);
        ZonedDateTime end = session.end().atZone(zone);
        Duration length = Duration.between(session.start(), session.end());
        return Duration.between(start, end).compareTo(length) < 0 ? start.plus(length) : end;
    }

    private static Calendar begin() {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Matsuri//Term//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        return calendar;
    }

    private static void zone(Calendar calendar, ZoneId zone) {
        var known = TimeZoneRegistryFactory.getInstance().createRegistry().getTimeZone(zone.getId());
        if (known != null) {
            VTimeZone definition = known.getVTimeZone();
            calendar.add(definition);
        }
    }

    private static void finish(VEvent event, String uid, Instant made) {
        event.removeAll("UID", "DTSTAMP");
        event.add(new Uid(uid + "@matsuri"));
        event.add(new DtStamp(made));
    }

    private static String written(Calendar calendar) {
        StringWriter out = new StringWriter();
        try {
            // unfolded first: the library folds by characters, the standard by octets
            new CalendarOutputter(false, Integer.MAX_VALUE).output(calendar, out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        StringBuilder folded = new StringBuilder();
        out.toString().lines().forEach(line -> fold(line, folded));
        return folded.toString();
    }

    /** RFC 5545 section 3.1: lines of at most 75 octets, the rest on lines that begin with a space. */
    private static void fold(String line, StringBuilder out) {
        int octets = 0;
        for (int i = 0; i < line.length(); ) {
            int code = line.codePointAt(i);
            String one = Character.toString(code);
            int size = one.getBytes(StandardCharsets.UTF_8).length;
            if (octets + size > MOST_OCTETS) {
                out.append("\r\n ");
                octets = 1;
            }
            out.append(one);
            octets += size;
            i += Character.charCount(code);
        }
        out.append("\r\n");
    }
}
