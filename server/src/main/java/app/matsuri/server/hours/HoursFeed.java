package app.matsuri.server.hours;

import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.hours.Slot;
import app.matsuri.core.hours.Slots;
import app.matsuri.core.plan.Student;
import app.matsuri.exchange.calendar.FeedEntry;
import app.matsuri.server.hours.HoursPages.Offered;
import app.matsuri.server.link.Person;
import app.matsuri.server.page.PageWords;
import app.matsuri.server.page.Seeing;
import app.matsuri.server.page.Seeing.Seen;
import app.matsuri.server.storage.Stored;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Office hours and bookings as entries of feeds. */
@Component
public class HoursFeed {

    private final Bookings bookings;
    private final Seeing seeing;

    HoursFeed(Bookings bookings, Seeing seeing) {
        this.bookings = bookings;
        this.seeing = seeing;
    }

    /** Changes whenever a booking of the terms does. */
    public String mark(List<Stored> terms) {
        return terms.stream().map(Stored::termId).distinct().map(bookings::mark).collect(Collectors.joining(" "));
    }

    /** When office hours are that the sections of a link have, day by day. */
    public List<FeedEntry> hours(List<Seen> seen, String host) {
        List<FeedEntry> entries = new ArrayList<>();
        for (Offered one : HoursPages.offered(seen)) {
            Stored stored = one.stored();
            TeachingCalendar calendar = TeachingCalendar.of(stored.decisions().term());
            Slot first = null;
            Slot last = null;
            for (Slot slot : Slots.of(calendar, one.hours()).all()) {
                if (slot.blocked()) {
                    continue;
                }
                if (first != null && last != null && !slot.date().equals(first.date())) {
                    entries.add(day(one, first, last, seen.get(0), host));
                    first = null;
                }
                first = first == null ? slot : first;
                last = slot;
            }
            if (first != null && last != null) {
                entries.add(day(one, first, last, seen.get(0), host));
            }
        }
        return entries;
    }

    private FeedEntry day(Offered one, Slot first, Slot last, Seen seen, String host) {
        String link = first.link().isEmpty() ? "" : first.link() + "\n";
        return entry(
                ("hours-" + one.key() + "-" + first.name()).replaceAll("[^A-Za-z0-9-]", "_") + "@matsuri",
                0,
                stamp(one.stored()),
                first.start(),
                last.end(),
                one.hours().title(),
                (link + one.hours().howToCome()).strip(),
                first.place(),
                host + seen.base() + "/hours",
                seeing.words(seen));
    }

    /** Bookings of the student that a link is of; of who teaches, all of the term. */
    public List<FeedEntry> bookings(List<Seen> seen, boolean own, String host) {
        List<FeedEntry> entries = new ArrayList<>();
        Student student = seen.get(0).sees().student();
        if (!own && student == null) {
            return entries;
        }
        Person person = student == null ? null : HoursPageController.person(student);
        for (Stored stored :
                seen.stream().map(s -> s.sees().stored()).distinct().toList()) {
            for (Booking booking : bookings.of(stored.termId())) {
                if (booking.held() && (person == null || booking.person().same(person))) {
                    String title = stored.decisions()
                            .officeHours(booking.hours)
                            .map(h -> h.title())
                            .orElse("");
                    entries.add(entry(
                            booking.uid + "@matsuri",
                            booking.sequence,
                            booking.changedAt,
                            booking.starts,
                            booking.ends,
                            own ? title + ", " + booking.personName : title,
                            (booking.link + "\n" + booking.about).strip(),
                            booking.place,
                            own ? "" : host + seen.get(0).base() + "/hours",
                            seeing.words(seen.get(0))));
                }
            }
        }
        return entries;
    }

    private static FeedEntry entry(
            String uid,
            int sequence,
            Instant stamp,
            LocalDateTime start,
            LocalDateTime end,
            String title,
            String description,
            String place,
            String url,
            PageWords words) {
        return new FeedEntry(
                uid,
                sequence,
                stamp,
                start,
                end,
                false,
                title,
                description,
                place,
                url,
                words.say("feed.hours"),
                false,
                false,
                null,
                null,
                List.of());
    }

    private static Instant stamp(Stored stored) {
        ZoneId zone = stored.decisions().term().zone();
        return stored.decisions().term().first().atStartOfDay(zone).toInstant();
    }
}
