package app.matsuri.exchange.school;

import app.matsuri.exchange.school.Finding.What;
import app.matsuri.exchange.words.Days;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Says what the words beside days mean, and doubts where they leave it open. */
final class Judge {

    /** "ab 13 Uhr: keine Vorlesungen" */
    private static final Pattern HOUR_BEFORE =
            Pattern.compile("(?iu)(?:\\d\\s*(?:uhr|h|[ap]\\.?\\s?m\\.?)|\\d[:.]\\d{2}|noon|midi|mediod[ií]a)\\s*$");

    private static final Pattern STOP = Pattern.compile("[;()]|:(?!\\d)|\\.(?=\\s+\\p{Lu})|\\s-\\s");

    private static final LocalTime EVENING = LocalTime.of(17, 0);

    private final LocalDate first;
    private final LocalDate last;
    private final Set<DayOfWeek> teaches;
    private final List<Mark> marks = new ArrayList<>();

    /** An end of a break that stands in a line of its own. */
    enum End {
        BEGINS,
        BEGINS_AFTER_CLASS,
        ENDS,
        CLASSES_RESUME
    }

    /** Where a break begins or ends. */
    record Mark(int line, String text, End end, LocalDate day, String reason) {}

    /** The ends of breaks in what was judged, in its order. */
    List<Mark> marks() {
        return marks;
    }

    Judge(SchoolCalendar.Term term) {
        this.first = term.first();
        this.last = term.last();
        this.teaches = term.weekdays();
    }

    /**
     * What a heading says of the lines below it.
     *
     * @param off their days are off
     * @param ends their classes end then; null where it does not say so
     */
    record Over(boolean off, @Nullable LocalTime ends) {

        static final Over NOTHING = new Over(false, null);
        static final Over OFF = new Over(true, null);
    }

    /**
     * Words and the days that they are about.
     *
     * @param words without the days
     * @param over what the heading over it says of its days
     * @param own the hours of an event; null for none
     */
    record Said(
            int line,
            String text,
            String words,
            List<Days.Span> spans,
            Over over,
            @Nullable Hours own) {}

    /** What is found; one thing for each run of days, or one nothing. */
    List<Finding> judge(Said said) {
        List<Finding> found = new ArrayList<>();
        for (Days.Span span : said.spans()) {
            if (whole(span)) {
                // "First semester: August 19 - December 17"
                found.add(Finding.of(
                        said.line(),
                        said.text(),
                        What.FIRST_CLASS,
                        span.first(),
                        span.first(),
                        Reasons.of(said.words())));
                found.add(Finding.of(
                        said.line(), said.text(), What.LAST_CLASS, span.last(), span.last(), Reasons.of(said.words())));
                continue;
            }
            Finding one = one(said, span);
            found.add(span.wrong().isEmpty() || one.what() == What.NOTHING ? one : one.doubted(span.wrong()));
            if (one.what() == What.RUNS_AS && !teaches(span.first())) {
                found.add(of(said, What.TEACHES, span));
            }
            if (one.what() == What.LAST_CLASS || one.what() == What.FIRST_CLASS) {
                Finding part = part(said, span, no(said.words()));
                if (part != null && part.what() == What.PART && part.doubt().isEmpty()) {
                    found.add(part);
                }
            }
            Finding edge = one.what() == What.RUNS_AS ? edge(said, span) : null;
            if (edge != null && edge.what() != What.NOTHING) {
                found.add(edge);
            }
        }
        List<Finding> taken =
                found.stream().filter(f -> f.what() != What.NOTHING).toList();
        return taken.isEmpty() ? found.subList(0, Math.min(1, found.size())) : taken;
    }

    /** Whether a run is the term itself. */
    private boolean whole(Days.Span span) {
        return near(span.first(), first)
                && near(span.last(), last)
                && span.first().plusDays(45).isBefore(span.last());
    }

    private boolean teaches(LocalDate day) {
        return teaches.contains(day.getDayOfWeek());
    }

    /** Whether some day of the run would teach. */
    private boolean any(Days.Span span) {
        return span.first().datesUntil(span.last().plusDays(1)).anyMatch(this::teaches);
    }

    private static Finding of(Said said, What what, Days.Span span) {
        return Finding.of(said.line(), said.text(), what, span.first(), span.last(), Reasons.of(said.words()));
    }

    private static Finding nothing(Said said, String why) {
        return Finding.nothing(said.line(), said.text(), why);
    }

    private Finding one(Said said, Days.Span span) {
        String words = said.words();
        if (CalendarWords.has(CalendarWords.RESERVE, words)) {
            return of(said, What.RESERVE, span);
        }
        if (span.last().isBefore(first.minusDays(21)) || span.first().isAfter(last.plusDays(21))) {
            return nothing(said, "another term");
        }
        Optional<DayOfWeek> as = CalendarWords.runsAs(words);
        boolean oneDay = span.first().equals(span.last());
        if (as.isPresent() && oneDay) {
            return outside(said, span, of(said, What.RUNS_AS, span).runsAs(as.get()));
        }
        Finding edge = edge(said, span);
        if (edge != null) {
            return edge;
        }
        return outside(said, span, within(said, span));
    }

    /** What lies before or behind the term's classes takes none of them. */
    private Finding outside(Said said, Days.Span span, Finding found) {
        boolean out = span.last().isBefore(first) || span.first().isAfter(last);
        return out && found.what() != What.NOTHING ? nothing(said, "outside the term") : found;
    }

    private @Nullable Finding edge(Said said, Days.Span span) {
        String words = said.words();
        if (CalendarWords.has(CalendarWords.BEFORE_BREAK, words)) {
            mark(said, span, End.BEGINS_AFTER_CLASS);
            return nothing(said, "classes meet");
        }
        boolean oneDay = span.first().equals(span.last());
        if (CalendarWords.has(CalendarWords.RESUME, words) && !no(words)) {
            mark(said, span, End.CLASSES_RESUME);
            return nothing(said, "classes resume");
        }
        if (oneDay
                && CalendarWords.has(CalendarWords.BREAK_BEGINS, words)
                && !no(words)
                && Hours.at(words).isEmpty()) {
            mark(said, span, End.BEGINS);
            return nothing(said, "a break begins");
        }
        if (oneDay && CalendarWords.has(CalendarWords.BREAK_ENDS, words) && !no(words)) {
            mark(said, span, End.ENDS);
            return nothing(said, "a break ends");
        }
        boolean begins = CalendarWords.has(CalendarWords.FIRST, words) && !no(words);
        boolean ends = !no(words)
                && (CalendarWords.has(CalendarWords.LAST, words)
                        || span.last().equals(last) && CalendarWords.has(CalendarWords.TERM_ENDS, words));
        if (begins && near(span.first(), first)) {
            return Finding.of(
                    said.line(), said.text(), What.FIRST_CLASS, span.first(), span.first(), Reasons.of(words));
        }
        if (ends && near(span.last(), last)) {
            return Finding.of(said.line(), said.text(), What.LAST_CLASS, span.last(), span.last(), Reasons.of(words));
        }
        return begins || ends ? nothing(said, "another term") : null;
    }

    private void mark(Said said, Days.Span span, End end) {
        marks.add(new Mark(said.line(), said.text(), end, span.first(), Reasons.of(said.words())));
    }

    private static boolean near(LocalDate day, LocalDate edge) {
        return Math.abs(day.toEpochDay() - edge.toEpochDay()) <= 21;
    }

    private static boolean no(String words) {
        return CalendarWords.has(CalendarWords.NO_CLASS, words) || CalendarWords.has(CalendarWords.OFF_ALONE, words);
    }

    private Finding within(Said said, Days.Span span) {
        String words = said.words();
        boolean no = no(words);
        boolean maybe = CalendarWords.maybe(words);
        if (!no && CalendarWords.has(CalendarWords.NORMAL_FROM, words)) {
            Optional<LocalTime> from = Hours.after(words.substring(Math.max(0, start(words))));
            if (from.isPresent() && !CalendarWords.has(CalendarWords.FIRST, words)) {
                return of(said, What.PART, span).during(LocalTime.MIDNIGHT, from.get());
            }
        }
        boolean meets = CalendarWords.has(CalendarWords.MEETS, words);
        if (meets && !no) {
            boolean makesUp = CalendarWords.has(CalendarWords.MAKE_UP, words) && !any(span);
            return makesUp ? of(said, What.TEACHES, span) : nothing(said, "classes meet");
        }
        if (CalendarWords.has(CalendarWords.MAKE_UP, words) && !no) {
            return of(said, What.TEACHES, span);
        }
        if (CalendarWords.has(CalendarWords.TEACHES, words) && !no) {
            return nothing(said, "teaching");
        }
        Finding part = part(said, span, no);
        if (part != null) {
            return maybe ? part.doubted("It says that this may be so: “" + Reasons.brief(words) + "”.") : part;
        }
        if (maybe && no) {
            return of(said, What.OFF, span).doubted("It says that this may be so: “" + Reasons.brief(words) + "”.");
        }
        if (said.own() != null && !no) {
            return nothing(said, "at a time of day");
        }
        return days(said, span, no, maybe);
    }

    private static int start(String words) {
        Matcher m = CalendarWords.NORMAL_FROM.matcher(CalendarWords.small(words));
        return m.find() ? Math.max(m.start(), m.end() - 24) : 0;
    }

    /** The part of a day that has no classes; null where that is not what is said. */
    private static @Nullable Finding part(Said said, Days.Span span, boolean no) {
        String words = said.words();
        if (no) {
            return without(said, span);
        }
        boolean early = CalendarWords.has(CalendarWords.EARLY, words);
        boolean late = CalendarWords.has(CalendarWords.LATE, words);
        boolean maybe = CalendarWords.has(CalendarWords.CANCELS, words) && CalendarWords.maybe(words);
        if (!early && !late && !maybe) {
            return null;
        }
        Finding part = of(said, What.PART, span);
        if (early) {
            Optional<LocalTime> at =
                    Hours.after(words).or(() -> Hours.until(words)).or(() -> Hours.at(words));
            return at.map(time -> part.during(time, LocalTime.MIDNIGHT))
                    .orElseGet(() -> part.during(LocalTime.NOON, LocalTime.MIDNIGHT)
                            .doubted("It does not say at which hour classes end."));
        }
        if (late) {
            return Hours.at(words)
                    .map(time -> part.during(LocalTime.MIDNIGHT, time))
                    .orElse(null);
        }
        boolean afternoon = CalendarWords.has(CalendarWords.AFTERNOON, words);
        return afternoon ? part.during(LocalTime.NOON, LocalTime.MIDNIGHT) : of(said, What.OFF, span);
    }

    /** The hours without classes; null for the whole day. */
    private static @Nullable Finding without(Said said, Days.Span span) {
        String words = said.words();
        String stated = stated(words);
        Hours own = said.own();
        Optional<Hours> hours = Hours.span(CalendarWords.has(CalendarWords.THEN, words) ? words : stated)
                .or(() -> Hours.after(stated).map(from -> new Hours(from, LocalTime.MIDNIGHT)))
                .or(() -> Hours.until(stated).map(to -> new Hours(LocalTime.MIDNIGHT, to)))
                .or(() -> Optional.ofNullable(own));
        if (hours.isPresent()) {
            return of(said, What.PART, span)
                    .during(hours.get().from(), hours.get().to());
        }
        if (CalendarWords.has(CalendarWords.AFTERNOON, words)) {
            return of(said, What.PART, span)
                    .during(LocalTime.NOON, LocalTime.MIDNIGHT)
                    .doubted("It does not say from which hour in the afternoon.");
        }
        return CalendarWords.has(CalendarWords.EVENING, words)
                ? of(said, What.PART, span)
                        .during(EVENING, LocalTime.MIDNIGHT)
                        .doubted("It does not say from which hour in the evening.")
                : null;
    }

    /** The part of the words that says that there are no classes: hours elsewhere are those of something else. */
    private static String stated(String words) {
        Matcher m = CalendarWords.NO_CLASS.matcher(CalendarWords.small(words));
        if (!m.find()) {
            return words;
        }
        int begin = 0;
        Matcher stop = STOP.matcher(words);
        while (stop.find()) {
            if (stop.start() >= m.end()) {
                return words.substring(begin, stop.start());
            }
            boolean hour = stop.group().equals(":")
                    && HOUR_BEFORE.matcher(words.substring(0, stop.start())).find();
            begin = stop.end() <= m.start() && !hour ? stop.end() : begin;
        }
        return words.substring(begin);
    }

    private Finding days(Said said, Days.Span span, boolean no, boolean maybe) {
        String words = said.words();
        LocalTime ends = said.over().ends();
        if (ends != null && !no) {
            return of(said, What.PART, span).during(ends, LocalTime.MIDNIGHT);
        }
        if (no) {
            return of(said, What.OFF, span);
        }
        boolean breaks = CalendarWords.has(CalendarWords.BREAK, words);
        boolean holiday = CalendarWords.has(CalendarWords.HOLIDAY, words);
        boolean staff = CalendarWords.has(CalendarWords.STAFF, words);
        boolean notForUs = CalendarWords.has(CalendarWords.NOT_FOR_US, words);
        if (!notForUs && (breaks || holiday || staff || said.over().off())) {
            Finding off = of(said, What.OFF, span);
            return maybe ? off.doubted("It says that this may be so: “" + Reasons.brief(words) + "”.") : off;
        }
        if (notForUs && (breaks || holiday || staff)) {
            // "Homecoming", "Holiday concert": a word of each; whoever means a day off says so
            return any(span) && (breaks || staff)
                    ? of(said, What.OFF, span)
                            .doubted("It may be a day off, and does not say that there are no classes.")
                    : nothing(said, "no day off");
        }
        if (notForUs) {
            return nothing(said, "no day off");
        }
        if (CalendarWords.has(CalendarWords.NAMED_DAY, words) && any(span) && !timed(words)) {
            return of(said, What.OFF, span).doubted("It does not say whether classes meet.");
        }
        return nothing(said, any(span) ? "nothing about classes" : "no day of classes");
    }

    /** Something with an hour is an event, not a day. */
    private static boolean timed(String words) {
        return Hours.at(words).isPresent() || Hours.span(words).isPresent();
    }
}
