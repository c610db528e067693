package app.matsuri.exchange.calendar;

import app.matsuri.core.calendar.TimeLimit;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Unreadable;
import java.io.IOException;
import java.io.StringReader;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.Temporal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.CalendarParserFactory;
import net.fortuna.ical4j.data.ContentHandlerContext;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.TemporalAmountAdapter;
import net.fortuna.ical4j.model.TimeZoneRegistryFactory;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.DateListProperty;
import net.fortuna.ical4j.model.property.DateProperty;
import net.fortuna.ical4j.model.property.Duration;
import org.jspecify.annotations.Nullable;

/** Reads the events of a calendar file (RFC 5545). Recurrences stay rules: nothing is ever unrolled without an end. */
public final class CalendarReader {

    private CalendarReader() {}

    /**
     * One event.
     *
     * @param start first day and time, on the clock of the asked zone
     * @param end exclusive
     * @param allDay days without times
     * @param rule its RRULE; empty for none
     * @param except the starts that its rule leaves out
     * @param instead the start of the occurrence that this event stands for; null for none
     * @param cancelled its status says so
     * @param words its description
     * @param number its place among the events of the file, from 0
     */
    public record Event(
            String uid,
            String summary,
            String place,
            LocalDateTime start,
            LocalDateTime end,
            boolean allDay,
            String rule,
            List<LocalDateTime> except,
            @Nullable LocalDateTime instead,
            boolean cancelled,
            String words,
            int number) {

        public LocalDate firstDay() {
            return start.toLocalDate();
        }

        /** Its last day, inclusive. */
        public LocalDate lastDay() {
            LocalDate last = end.minusNanos(1).toLocalDate();
            return last.isBefore(firstDay()) ? firstDay() : last;
        }
    }

    /**
     * What reading came to.
     *
     * @param skipped events without a start that could be read, a sentence each
     */
    public record Reading(List<Event> events, List<String> skipped) {}

    /**
     * Reads the events, their times on the clock of the zone.
     *
     * @throws Unreadable when it is no calendar or has too many events
     */
    public static Reading read(Given file, ZoneId zone) {
        String text = file.text();
        CalendarBounds.check(file.name(), text);
        Calendar calendar;
        try {
            calendar = builder().build(new StringReader(text));
        } catch (ParserException e) {
            throw new Unreadable(
                    "“" + file.name() + "” is no calendar that can be read: line " + e.getLineNo() + ", "
                            + said(e.getMessage()) + ".",
                    e);
        } catch (IOException | RuntimeException e) {
            throw new Unreadable(
                    "“" + file.name() + "” is no calendar that can be read: " + said(e.getMessage()) + ".", e);
        }
        List<Event> events = new ArrayList<>();
        List<String> skipped = new ArrayList<>();
        int number = 0;
        for (VEvent event : calendar.<VEvent>getComponents(Component.VEVENT)) {
            TimeLimit.look();
            try {
                events.add(event(event, zone, number++));
            } catch (RuntimeException e) {
                skipped.add("“" + text(event, Property.SUMMARY) + "” has no date that can be read.");
            }
        }
        return new Reading(events, skipped);
    }

    /** One a call, as sharing fails; a property that cannot be read costs only itself. */
    private static CalendarBuilder builder() {
        return new CalendarBuilder(
                CalendarParserFactory.getInstance().get(),
                new ContentHandlerContext().withSuppressInvalidProperties(true),
                TimeZoneRegistryFactory.getInstance().createRegistry());
    }

    private static String said(@Nullable String message) {
        return message == null
                ? "its structure is broken"
                : message.replaceFirst("^Error at line \\d+:", "").strip();
    }

    private static Event event(VEvent event, ZoneId zone, int number) {
        Temporal from = date(event, Property.DTSTART).orElseThrow();
        boolean allDay = from instanceof LocalDate;
        LocalDateTime start = local(from, zone);
        LocalDateTime end = date(event, Property.DTEND)
                .map(to -> local(to, zone))
                .or(() -> event.<Duration>getProperty(Property.DURATION)
                        .map(d -> start.plus(new TemporalAmountAdapter(d.getDuration()).getDuration())))
                .orElse(allDay ? start.plusDays(1) : start);
        List<LocalDateTime> except = new ArrayList<>();
        for (Property property : event.getProperties(Property.EXDATE)) {
            for (Object date : ((DateListProperty<?>) property).getDates()) {
                LocalDateTime gone = local((Temporal) date, zone);
                except.add(date instanceof LocalDate ? gone.toLocalDate().atTime(start.toLocalTime()) : gone);
            }
        }
        return new Event(
                text(event, Property.UID),
                text(event, Property.SUMMARY),
                text(event, Property.LOCATION),
                start,
                end.isBefore(start) ? start : end,
                allDay,
                text(event, Property.RRULE),
                except,
                date(event, Property.RECURRENCE_ID).map(d -> local(d, zone)).orElse(null),
                text(event, Property.STATUS).equalsIgnoreCase("CANCELLED"),
                text(event, Property.DESCRIPTION),
                number);
    }

    private static Optional<Temporal> date(VEvent event, String name) {
        return event.<DateProperty<Temporal>>getProperty(name).map(DateProperty::getDate);
    }

    private static String text(VEvent event, String name) {
        return event.<Property>getProperty(name)
                .map(Property::getValue)
                .map(String::strip)
                .orElse("");
    }

    private static LocalDateTime local(Temporal temporal, ZoneId zone) {
        if (temporal instanceof LocalDate day) {
            return day.atStartOfDay();
        }
        if (temporal instanceof LocalDateTime floating) {
            return floating;
        }
        Instant instant = temporal instanceof ZonedDateTime z
                ? z.toInstant()
                : temporal instanceof OffsetDateTime o ? o.toInstant() : Instant.from(temporal);
        return instant.atZone(zone).toLocalDateTime();
    }
}
