package app.matsuri.exchange.calendar;

import java.net.URI;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.ParameterList;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.parameter.Cn;
import net.fortuna.ical4j.model.parameter.PartStat;
import net.fortuna.ical4j.model.parameter.Rsvp;
import net.fortuna.ical4j.model.property.Attendee;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.Method;
import net.fortuna.ical4j.model.property.Organizer;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Status;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.Url;

/**
 * An invitation to one appointment as mail programs understand it: iTIP (RFC 5546), {@code METHOD:REQUEST}, and {@code CANCEL} with the same
 * UID and a higher SEQUENCE where it is withdrawn.
 *
 * @param cancelled whether it is withdrawn
 * @param sequence 0 to begin with, higher with every change
 * @param place where, may be empty
 * @param url of the meeting or a page; may be empty
 */
public record Invitation(
        boolean cancelled,
        String uid,
        int sequence,
        Instant stamp,
        ZoneId zone,
        LocalDateTime start,
        LocalDateTime end,
        String title,
        String description,
        String place,
        String url,
        Who organizer,
        List<Who> attendees) {

    /** Somebody with a name and an address. */
    public record Who(String name, String mail) {}

    /** As text/calendar. */
    public String text() {
        Calendar calendar = CalendarText.begin("Office hours");
        calendar.add(new Method(cancelled ? Method.VALUE_CANCEL : Method.VALUE_REQUEST));
        CalendarText.zone(calendar, zone, start.toLocalDate(), end.toLocalDate());
        VEvent event = new VEvent(false);
        event.add(new DtStart<>(start.atZone(zone)));
        event.add(new DtEnd<>(CalendarText.end(start, end, zone)));
        event.add(new Summary(title));
        event.add(new Uid(uid));
        event.add(new DtStamp(stamp));
        event.add(new Sequence(sequence));
        event.add(new Status(cancelled ? Status.VALUE_CANCELLED : Status.VALUE_CONFIRMED));
        if (!description.isEmpty()) {
            event.add(new Description(description));
        }
        if (!place.isEmpty()) {
            event.add(new Location(place));
        }
        if (!url.isEmpty()) {
            event.add(new Url(URI.create(url)));
        }
        event.add(new Organizer(new ParameterList(List.of(new Cn(organizer.name()))), address(organizer)));
        attendees.forEach(who -> event.add(new Attendee(
                new ParameterList(List.of(new Cn(who.name()), PartStat.ACCEPTED, Rsvp.FALSE)), address(who))));
        calendar.add(event);
        return CalendarText.written(calendar);
    }

    private static URI address(Who who) {
        return URI.create("mailto:" + who.mail().replace(" ", "%20"));
    }
}
