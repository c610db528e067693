package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A notice as typed: "notice: Bring boots", "notice Field day, 24 oct, 8:15-15:30", "notice Hut open, every second Thu
 * 15-16:30". What stands behind commas says when.
 */
public final class NoticeWords {

    private static final Pattern BEGINS = Pattern.compile("(?i)notice(?:\\s*:\\s*|\\s+)(\\S.*)");
    private static final Pattern SPAN = Pattern.compile("(.+?)\\s*(?:-|–|to)\\s*(.+)");

    private LocalTime from;
    private LocalTime to;
    private LocalDate first;
    private LocalDate last;
    private NoticeTime.Repeat repeat;

    private NoticeWords() {}

    /**
     * What was read.
     *
     * @param said what was understood
     */
    public record Read(Notice notice, String said) {}

    /** Whether the text is meant as a notice. */
    public static boolean is(String text) {
        return BEGINS.matcher(text.strip()).matches();
    }

    /**
     * The notice.
     *
     * @param day the day it is on where the text says none; null where it must say one
     * @param unit id of the unit it belongs to; null for none
     * @throws IllegalArgumentException when it says no day; the message says what to do
     */
    public static Read read(String text, DayWords days, LocalDate day, Course into, String unit) {
        Matcher m = BEGINS.matcher(text.strip());
        if (!m.matches()) {
            throw new IllegalArgumentException("A notice begins with the word “notice”.");
        }
        List<String> parts = new ArrayList<>(Arrays.asList(m.group(1).split("\\s*,\\s*")));
        NoticeWords words = new NoticeWords();
        while (parts.size() > 1 && words.take(parts.get(parts.size() - 1), days)) {
            parts.remove(parts.size() - 1);
        }
        String title = String.join(", ", parts);
        LocalDate on = words.first == null ? day : words.first;
        if (on == null && words.repeat == null) {
            throw new IllegalArgumentException(
                    "Say when, behind a comma: “notice " + title + ", 24 oct”, or type it into its day.");
        }
        NoticeTime when = words.when(on);
        Notice plain = Notice.of(id(into, title), title, when);
        Notice notice = new Notice(
                plain.id(),
                unit,
                title,
                "",
                "",
                List.of(),
                when,
                Map.of(),
                Notice.Reach.COURSE,
                List.of(),
                List.of(),
                null,
                Extra.NONE);
        return new Read(notice, words.said(on));
    }

    private boolean take(String part, DayWords days) {
        if (part.matches("(?i)(every|each|biweekly|fortnightly|daily)\\b.*")) {
            var pattern = MeetsWords.read(part);
            pattern.ifPresent(p -> repeat = new NoticeTime.Repeat(p.rule(), null, null, p.start(), p.minutes()));
            return pattern.isPresent();
        }
        Optional<LocalTime> time = TimeWords.read(part);
        if (time.isPresent() && from == null) {
            from = time.get();
            return true;
        }
        Matcher span = SPAN.matcher(part);
        if (span.matches() && from == null) {
            Optional<LocalTime> end = TimeWords.read(span.group(2));
            Optional<LocalTime> start = TimeWords.read(span.group(1));
            if (start.isEmpty() && span.group(1).matches("\\d{1,2}")) {
                start = TimeWords.read(span.group(1) + ":00");
            }
            if (start.isPresent() && end.isPresent() && end.get().isAfter(start.get())) {
                from = start.get();
                to = end.get();
                return true;
            }
        }
        Optional<RunWords.Found> run = RunWords.find(part, days).filter(f -> f.from() == 0 && f.to() == part.length());
        if (run.isPresent()) {
            first = run.get().first();
            last = run.get().last();
            return true;
        }
        Optional<LocalDate> one = days.read(part);
        one.ifPresent(d -> first = d);
        return one.isPresent();
    }

    private NoticeTime when(LocalDate on) {
        if (repeat != null) {
            return NoticeTime.series(
                    new NoticeTime.Repeat(repeat.rule(), first, last, repeat.time(), repeat.minutes()));
        }
        LocalDate end = last == null ? on : last;
        if (from == null) {
            return NoticeTime.once(
                    true, DateRule.at(on.atStartOfDay()), end.equals(on) ? null : DateRule.at(end.atStartOfDay()));
        }
        boolean moment = to == null && end.equals(on);
        return NoticeTime.once(
                false, DateRule.at(on.atTime(from)), moment ? null : DateRule.at(end.atTime(to == null ? from : to)));
    }

    private String said(LocalDate on) {
        if (repeat != null) {
            return "notice, a series";
        }
        String days = Say.day(on) + (last == null || last.equals(on) ? "" : " to " + Say.day(last));
        return "notice, " + days + (from == null ? "" : ", " + from + (to == null ? "" : " to " + to));
    }

    private static String id(Course into, String title) {
        String slug =
                title.toLowerCase(Locale.ROOT).replaceAll("[^\\p{Alnum}]+", "-").replaceAll("^-|-$", "");
        String stem = slug.isEmpty() ? "notice" : slug.substring(0, Math.min(40, slug.length()));
        String id = stem;
        for (int n = 2; into.notice(id).isPresent(); n++) {
            id = stem + "-" + n;
        }
        return id;
    }
}
