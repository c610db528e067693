package app.matsuri.exchange.calendar;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.zone.ZoneOffsetTransition;
import java.time.zone.ZoneRules;
import java.util.regex.Pattern;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.Daylight;
import net.fortuna.ical4j.model.component.Observance;
import net.fortuna.ical4j.model.component.Standard;
import net.fortuna.ical4j.model.component.VTimeZone;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.TzId;
import net.fortuna.ical4j.model.property.TzOffsetFrom;
import net.fortuna.ical4j.model.property.TzOffsetTo;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/** What every calendar file of ours begins with, how it is written, and its zone (RFC 5545). */
final class CalendarText {

    private static final int MOST_OCTETS = 75;

    /** What RFC 5545 section 3.1 lets stand in no line: control characters but the tab. */
    private static final Pattern CONTROL = Pattern.compile("[\\x00-\\x08\\x0A-\\x1F\\x7F]");

    private CalendarText() {}

    /** A calendar without anything in it. */
    static Calendar begin(String of) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Matsuri//" + of + "//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        return calendar;
    }

    /**
     * Puts the definition of a zone into it, with each change of the clock from a year before the first day to a year after the last,
     * as the JDK's zone data have them.
     */
    static void zone(Calendar calendar, ZoneId zone, LocalDate first, LocalDate last) {
        VTimeZone definition = new VTimeZone();
        definition.add(new TzId(zone.getId()));
        ZoneRules rules = zone.getRules();
        Instant at = first.minusYears(1).atStartOfDay(zone).toInstant();
        Instant end = last.plusYears(1).atStartOfDay(zone).toInstant();
        ZoneOffset before = rules.getOffset(at);
        definition.add(observance(rules.isDaylightSavings(at), LocalDateTime.ofInstant(at, before), before, before));
        for (ZoneOffsetTransition change = rules.nextTransition(at);
                change != null && change.getInstant().isBefore(end);
                change = rules.nextTransition(change.getInstant())) {
            definition.add(observance(
                    rules.isDaylightSavings(change.getInstant()),
                    change.getDateTimeBefore(),
                    change.getOffsetBefore(),
                    change.getOffsetAfter()));
        }
        calendar.add(definition);
    }

    private static Observance observance(boolean daylight, LocalDateTime at, ZoneOffset from, ZoneOffset to) {
        Observance observance = daylight ? new Daylight() : new Standard();
        observance.add(new DtStart<>(at));
        observance.add(new TzOffsetFrom(from));
        observance.add(new TzOffsetTo(to));
        return observance;
    }

    /** When something ends that begins and ends by the clock; where the clock skips some of it, as much later as it is long. */
    static ZonedDateTime end(LocalDateTime from, LocalDateTime to, ZoneId zone) {
        ZonedDateTime start = from.atZone(zone);
        ZonedDateTime end = to.atZone(zone);
        Duration length = Duration.between(from, to);
        return Duration.between(start, end).compareTo(length) < 0 ? start.plus(length) : end;
    }

    /** The text of a calendar, lines folded at 75 octets. */
    static String written(Calendar calendar) {
        return folded(calendar.toString());
    }

    /** A calendar or a part of one as text, its lines folded. */
    static String folded(String text) {
        // not by the library's own writer, which folds by characters: the standard counts octets
        StringBuilder folded = new StringBuilder(text.length() + text.length() / 32);
        for (int from = 0; from < text.length(); ) {
            int end = text.indexOf("\r\n", from);
            String line = text.substring(from, end < 0 ? text.length() : end);
            // a lone carriage return in a title would begin a line of its own where it is read
            fold(CONTROL.matcher(line).replaceAll(" "), folded);
            from = end < 0 ? text.length() : end + 2;
        }
        return folded.toString();
    }

    /** RFC 5545 section 3.1: lines of at most 75 octets, the rest on lines that begin with a space. */
    private static void fold(String line, StringBuilder out) {
        int octets = 0;
        int from = 0;
        for (int i = 0; i < line.length(); ) {
            int code = line.codePointAt(i);
            int size = code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4;
            if (octets + size > MOST_OCTETS) {
                out.append(line, from, i).append("\r\n ");
                from = i;
                octets = 1;
            }
            octets += size;
            i += Character.charCount(code);
        }
        out.append(line, from, line.length()).append("\r\n");
    }
}
