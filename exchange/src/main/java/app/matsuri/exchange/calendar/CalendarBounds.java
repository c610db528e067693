package app.matsuri.exchange.calendar;

import app.matsuri.exchange.file.Unreadable;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** How much a calendar file comes to, counted in its lines before anything of it is worked out (RFC 5545). */
final class CalendarBounds {

    /** The most events that are read. */
    static final int MOST_EVENTS = 20_000;

    /** The most of them that repeat. */
    static final int MOST_REPEATED = 2_000;

    /** The most days that all of them leave out or add. */
    static final int MOST_DATES = 10_000;

    /** The most changes of the clock of all zones. */
    static final int MOST_OF_ZONES = 500;

    private static final int MOST_DEPTH = 8;

    private static final Pattern LINE = Pattern.compile("(?im)^(BEGIN|END|RRULE|EXDATE|RDATE)\\b([^\\r\\n]*)");

    private final String name;
    private int events;
    private int repeated;
    private int dates;
    private int ofZones;
    private int depth;
    private boolean zone;

    private CalendarBounds(String name) {
        this.name = name;
    }

    /**
     * Looks at a calendar.
     *
     * @param name for messages
     * @throws Unreadable when there is too much of something
     */
    static void check(String name, String text) {
        CalendarBounds bounds = new CalendarBounds(name);
        // lines that were folded are one (section 3.1)
        Matcher line = LINE.matcher(text.replaceAll("\\r?\\n[ \\t]", ""));
        while (line.find()) {
            bounds.line(line.group(1).toUpperCase(Locale.ROOT), line.group(2));
        }
    }

    private void line(String what, String rest) {
        String of = rest.replaceFirst("^:", "").strip().toUpperCase(Locale.ROOT);
        switch (what) {
            case "BEGIN" -> begin(of);
            case "END" -> {
                depth--;
                zone &= !of.equals("VTIMEZONE");
            }
            case "RRULE" -> rule(of);
            default -> {
                int count = 1 + (int) rest.chars().filter(c -> c == ',').count();
                dates += zone ? 0 : count;
                ofZones += zone ? count : 0;
                bound(dates, MOST_DATES, "dates that are left out or added");
            }
        }
        bound(ofZones, MOST_OF_ZONES, "changes of the clock");
    }

    private void begin(String of) {
        if (++depth > MOST_DEPTH) {
            throw new Unreadable("“" + name + "” is no calendar as programs write them. Export it again.");
        }
        zone |= of.equals("VTIMEZONE");
        ofZones += zone ? 1 : 0;
        events += of.equals("VEVENT") ? 1 : 0;
        bound(events, MOST_EVENTS, "events");
    }

    private void rule(String rule) {
        if (zone && !rule.contains("FREQ=YEARLY")) {
            throw new Unreadable("“" + name + "” has a time zone whose clock changes more often than once a year."
                    + " Export it again, in a zone of the world.");
        }
        repeated += zone ? 0 : 1;
        bound(repeated, MOST_REPEATED, "events that repeat");
    }

    private void bound(int count, int most, String what) {
        if (count > most) {
            throw new Unreadable(String.format(
                    Locale.ENGLISH, "“%s” has more than %,d %s. Export only this term.", name, most, what));
        }
    }
}
