package app.matsuri.exchange.calendar;

import app.matsuri.exchange.calendar.FeedEntry.Repeats;
import java.net.URI;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.Temporal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.DateList;
import net.fortuna.ical4j.model.ParameterList;
import net.fortuna.ical4j.model.component.VAlarm;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.parameter.Related;
import net.fortuna.ical4j.model.parameter.TzId;
import net.fortuna.ical4j.model.parameter.Value;
import net.fortuna.ical4j.model.property.Categories;
import net.fortuna.ical4j.model.property.Color;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ExDate;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.Name;
import net.fortuna.ical4j.model.property.RRule;
import net.fortuna.ical4j.model.property.RecurrenceId;
import net.fortuna.ical4j.model.property.RefreshInterval;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Source;
import net.fortuna.ical4j.model.property.Status;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Transp;
import net.fortuna.ical4j.model.property.Trigger;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.Url;
import net.fortuna.ical4j.model.property.immutable.ImmutableAction;

/**
 * Writes feeds as calendar files: RFC 5545, with the name, colour, source and refresh interval of RFC 7986, and the name once more where
 * older readers look for it.
 */
public final class FeedWriter {

    private static final String END = "END:VCALENDAR";
    private static final Duration REFRESH = Duration.ofHours(1);

    private final ZoneId zone;
    private final OneZone times;
    /** What many entries have alike is made once. */
    private final Map<Instant, DtStamp> stamps = new HashMap<>();

    private final Map<String, Categories> categories = new HashMap<>();

    private FeedWriter(ZoneId zone) {
        this.zone = zone;
        this.times = new OneZone(zone);
    }

    /**
     * What a feed is.
     *
     * @param source where it can be read again; empty for a download
     * @param first of its days; with the last, for changes of the clock
     */
    public record Head(String name, String source, ZoneId zone, LocalDate first, LocalDate last) {}

    /** Keeps the text of entries: an entry that is equal is written alike. */
    public interface Texts {

        /** The text of an entry in a zone, kept or written. */
        String of(ZoneId zone, FeedEntry entry, Supplier<String> written);
    }

    /** The feed as text. */
    public static String write(Head head, List<FeedEntry> entries) {
        return write(head, entries, (zone, entry, written) -> written.get());
    }

    /** Likewise, with the text of what is kept. */
    public static String write(Head head, List<FeedEntry> entries, Texts texts) {
        Calendar calendar = CalendarText.begin("Feed");
        calendar.add(new Name(head.name()));
        calendar.add(new net.fortuna.ical4j.model.property.XProperty("X-WR-CALNAME", head.name()));
        calendar.add(new Color(new ParameterList(), "midnightblue"));
        if (!head.source().isEmpty()) {
            calendar.add(new RefreshInterval(new ParameterList(List.of(Value.DURATION)), REFRESH));
            calendar.add(new Source(new ParameterList(List.of(Value.URI)), head.source()));
        }
        // also where nothing has a time: a calendar has something in it
        CalendarText.zone(calendar, head.zone(), head.first(), head.last());
        FeedWriter writer = new FeedWriter(head.zone());
        String frame = CalendarText.written(calendar);
        int end = frame.lastIndexOf(END);
        StringBuilder text = new StringBuilder(frame.length() + entries.size() * 500).append(frame, 0, end);
        entries.forEach(entry -> text.append(texts.of(
                head.zone(),
                entry,
                () -> CalendarText.folded(writer.event(entry).toString()))));
        return text.append(frame, end, frame.length()).toString();
    }

    private VEvent event(FeedEntry entry) {
        VEvent event = new VEvent(false);
        if (entry.wholeDays()) {
            event.add(new DtStart<>(entry.start().toLocalDate()));
            event.add(new DtEnd<>(entry.end().toLocalDate()));
        } else {
            event.add(new DtStart<>(entry.start().atZone(zone)));
            event.add(new DtEnd<>(CalendarText.end(entry.start(), entry.end(), zone)));
        }
        event.add(new Summary(entry.title()));
        event.add(new Uid(entry.uid()));
        event.add(stamps.computeIfAbsent(entry.stamp(), DtStamp::new));
        event.add(new Sequence(entry.sequence()));
        event.add(new Status(entry.cancelled() ? Status.VALUE_CANCELLED : Status.VALUE_CONFIRMED));
        event.add(new Transp(entry.busy() && !entry.cancelled() ? Transp.VALUE_OPAQUE : Transp.VALUE_TRANSPARENT));
        event.add(categories.computeIfAbsent(entry.category(), Categories::new));
        if (!entry.description().isEmpty()) {
            event.add(new Description(entry.description()));
        }
        if (!entry.place().isEmpty()) {
            event.add(new Location(entry.place()));
        }
        if (!entry.url().isEmpty()) {
            event.add(new Url(URI.create(entry.url())));
        }
        LocalDateTime instance = entry.instanceOf();
        if (instance != null) {
            event.add(new RecurrenceId<>(moment(instance, entry.wholeDays())));
        }
        Repeats repeats = entry.repeats();
        if (repeats != null) {
            event.add(new RRule<>(repeats.rule()));
            if (!repeats.without().isEmpty()) {
                event.add(without(repeats.without(), entry));
            }
        }
        if (!entry.cancelled()) {
            entry.alarms().forEach(before -> event.add(alarm(before, entry.title())));
        }
        times.of(event);
        return event;
    }

    private Temporal moment(LocalDateTime at, boolean wholeDays) {
        return wholeDays ? at.toLocalDate() : at.atZone(zone);
    }

    private ExDate<?> without(List<LocalDate> days, FeedEntry entry) {
        if (entry.wholeDays()) {
            return new ExDate<>(new ParameterList(List.of(Value.DATE)), new DateList<>(days));
        }
        List<ZonedDateTime> starts = days.stream()
                .map(day -> day.atTime(entry.start().toLocalTime()).atZone(zone))
                .toList();
        return new ExDate<>(new ParameterList(List.of(new TzId(zone.getId()))), new DateList<>(starts));
    }

    private static VAlarm alarm(Duration before, String title) {
        VAlarm alarm = new VAlarm();
        alarm.add(new Trigger(new ParameterList(List.of(Related.END)), before.negated()));
        alarm.add(ImmutableAction.DISPLAY);
        alarm.add(new Description(title));
        return alarm;
    }
}
