package app.matsuri.exchange.school;

import app.matsuri.exchange.calendar.CalendarReader;
import app.matsuri.exchange.calendar.CalendarReader.Event;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.words.Days;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The events of a calendar file, judged by their words as lines are. */
final class SchoolEvents {

    private static final Pattern ZONE = Pattern.compile("(?:TZID[=:]\"?|X-WR-TIMEZONE:)([A-Za-z_]+/[A-Za-z_/+-]+)");

    private SchoolEvents() {}

    static List<Finding> read(Given file, Judge judge) {
        List<Finding> found = new ArrayList<>();
        List<Integer> lines = summaries(file.text());
        CalendarReader.Reading reading = CalendarReader.read(file, zone(file.text()));
        // what Matsuri wrote itself has nothing but days off
        Judge.Over over = file.text().contains("PRODID:-//Matsuri//") ? Judge.Over.OFF : Judge.Over.NOTHING;
        Set<Integer> read = new HashSet<>();
        for (Event event : reading.events()) {
            read.add(event.number());
            found.addAll(event(lines.get(event.number()), event, over, judge));
        }
        for (int k = 0; k < lines.size(); k++) {
            if (!read.contains(k)) {
                found.add(Finding.nothing(lines.get(k), "", "no date that can be read"));
            }
        }
        found.sort(Comparator.comparingInt(Finding::line));
        return found;
    }

    /** The zone that its times are printed in: the one it names first. */
    private static ZoneId zone(String text) {
        Matcher m = ZONE.matcher(text);
        while (m.find()) {
            if (ZoneId.getAvailableZoneIds().contains(m.group(1))) {
                return ZoneId.of(m.group(1));
            }
        }
        return ZoneOffset.UTC;
    }

    private static List<Finding> event(int line, Event event, Judge.Over over, Judge judge) {
        String text = event.summary();
        if (event.cancelled()) {
            return List.of(Finding.nothing(line, text, "cancelled"));
        }
        if (!event.rule().isEmpty()) {
            return List.of(Finding.nothing(line, text, "repeats"));
        }
        String words = Days.plain(event.summary() + (event.words().isBlank() ? "" : ". " + event.words()));
        Hours own = event.allDay() || !event.end().isAfter(event.start())
                ? null
                : new Hours(event.start().toLocalTime(), event.end().toLocalTime());
        Days.Span span = new Days.Span(event.firstDay(), event.lastDay(), "");
        return judge.judge(new Judge.Said(line, text, words, List.of(span), over, own));
    }

    /** The lines of the SUMMARY of each event, in order; that of its BEGIN where it has none. */
    private static List<Integer> summaries(String text) {
        List<Integer> lines = new ArrayList<>();
        String[] all = text.split("\\r\\n|\\n|\\r", -1);
        boolean inside = false;
        int at = 0;
        for (int i = 0; i < all.length; i++) {
            if (all[i].equalsIgnoreCase("BEGIN:VEVENT")) {
                inside = true;
                at = i + 1;
            } else if (inside && all[i].regionMatches(true, 0, "SUMMARY", 0, 7)) {
                at = i + 1;
            } else if (all[i].equalsIgnoreCase("END:VEVENT")) {
                lines.add(at);
                inside = false;
            }
        }
        return lines;
    }
}
