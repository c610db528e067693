package app.matsuri.exchange.plan;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.plan.Besides;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.DayNote;
import app.matsuri.core.plan.FileUse;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Publishing;
import app.matsuri.core.plan.Reminder;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.plan.Took;
import app.matsuri.core.plan.Waiting;
import app.matsuri.core.plan.WeekNote;
import app.matsuri.core.plan.Weights;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** Reads notices, rhythms, and words on days and weeks. */
public final class BesidesReader {

    private BesidesReader() {}

    static Besides besides(In in) {
        return new Besides(
                in.objects("notices", BesidesReader::notice),
                in.objects("rhythms", BesidesReader::rhythm),
                in.objects("dayNotes", BesidesReader::dayNote),
                in.objects("weekNotes", BesidesReader::weekNote),
                weights(in),
                publishing(in.object("publishing", BesidesReader::shown)),
                in.objects("reminders", BesidesReader::reminder),
                in.objects("took", BesidesReader::took),
                in.objects("waits", BesidesReader::waiting));
    }

    /** A date that found no place when the course was rolled over; null when a fault leaves it without meaning. */
    public static @Nullable Waiting waiting(In in) {
        String what = in.word("what", null, List.of("opens", "due", "closes", "pin", "begins", "ends"));
        String id = in.required("id");
        String section = in.text("section", null);
        var old = in.moment("old");
        var suggested = in.moment("suggested");
        String why = in.text("why", "");
        in.extra();
        return what == null || id == null || why == null ? null : new Waiting(what, id, section, old, suggested, why);
    }

    /** How long a unit took in an earlier term; null when a fault leaves it without meaning. */
    public static @Nullable Took took(In in) {
        String unit = in.id("unit");
        String term = in.required("term");
        String section = in.id("section");
        Integer sessions = in.number("sessions", null, 0);
        return unit == null || term == null || section == null || sessions == null
                ? null
                : new Took(unit, term, section, sessions);
    }

    private static Publishing publishing(@Nullable Publishing said) {
        return said == null ? Publishing.USUAL : said;
    }

    /** How a course is shown to its students. */
    public static @Nullable Publishing shown(In in) {
        String language = in.word("language", Publishing.USUAL.language(), Publishing.LANGUAGES);
        boolean twelveHours = in.flag("twelveHours", false);
        boolean linkAroundClass = in.flag("linkAroundClass", false);
        in.extra();
        return language == null ? null : new Publishing(language, twelveHours, linkAroundClass);
    }

    /** Of what a course reminds; null when a fault leaves it without meaning. */
    public static @Nullable Reminder reminder(In in) {
        String id = in.id("id");
        List<String> kinds = in.texts("kinds", "a kind of work", x -> x);
        String item = in.text("item", null);
        boolean marked = in.flag("marked", false);
        String before = in.word("before", "due", Words.all(Reminder.Before.class));
        Reminder.Lead lead = in.object("lead", BesidesReader::lead);
        String to = in.word("to", "students", Words.all(Reminder.Whom.class));
        boolean mail = in.flag("mail", true);
        boolean feed = in.flag("feed", true);
        in.extra();
        if (lead == null && !in.has("lead")) {
            in.faults().fatal(in.pointer(), "“lead” is missing: say how long before, such as {\"minutes\": 60}.");
        }
        return id == null || before == null || lead == null || to == null
                ? null
                : new Reminder(
                        id,
                        kinds,
                        item,
                        marked,
                        Words.constant(Reminder.Before.class, before),
                        lead,
                        Words.constant(Reminder.Whom.class, to),
                        mail,
                        feed);
    }

    private static Reminder.@Nullable Lead lead(In in) {
        int most = Reminder.Lead.MOST_DAYS;
        Integer minutes = in.number("minutes", 0, 0);
        Integer days = in.number("days", 0, 0);
        LocalTime at = in.time("at");
        in.extra();
        if (minutes == null || days == null) {
            return null;
        }
        if (days > most || minutes > most * 24 * 60) {
            in.faults().fatal(in.pointer(), "A reminder comes " + most + " days before at the most.");
            return null;
        }
        if (at == null && days > 0) {
            in.faults()
                    .fatal(in.pointer(), "Say at what time of day, such as “at”: “09:00”, or how many minutes before.");
            return null;
        }
        return at == null ? Reminder.Lead.minutes(minutes) : Reminder.Lead.days(days, at);
    }

    private static Weights weights(In in) {
        Weights weights = in.object("weights", BesidesReader::costs);
        return weights == null ? Weights.USUAL : weights;
    }

    /** What giving way costs, by the names of the plan file; kinds that are not named cost what is usual. */
    public static Weights costs(In in) {
        Map<Weights.Cost, Integer> costs = new EnumMap<>(Weights.Cost.class);
        for (Weights.Cost cost : Weights.Cost.values()) {
            Integer n = in.number(cost.word(), cost.usual(), 0);
            if (n != null && n > 100_000) {
                in.faults().fatal(in.at(cost.word()), n + " is too much: give at most 100000.");
            } else if (n != null) {
                costs.put(cost, n);
            }
        }
        in.extra();
        return new Weights(costs);
    }

    /** The notice; null when a fault leaves it without meaning. */
    public static @Nullable Notice notice(In in) {
        String id = in.id("id");
        String unit = in.text("unit", null);
        String title = in.required("title");
        String text = in.text("text", "");
        String place = in.text("place", "");
        List<Link> links = in.objects("links", DetailsReader::link);
        List<FileUse> files = in.objects("files", DetailsReader::file);
        NoticeTime when = time(in);
        Map<String, NoticeTime> sections = new LinkedHashMap<>();
        in.objects("sections", one -> {
                    String code = one.required("section");
                    NoticeTime other = time(one);
                    one.extra();
                    return code == null || other == null ? null : Map.entry(code, other);
                })
                .forEach(e -> sections.put(e.getKey(), e.getValue()));
        String reach = in.word("reach", "course", Words.all(Notice.Reach.class));
        List<String> only = in.texts("only", "a section's code", x -> x);
        List<String> shared = in.texts("shared", "a course's code, or course/section", x -> x);
        DateRule hidden = in.object("hiddenUntil", RuleReader::rule);
        Extra extra = in.extra();
        return id == null || title == null || text == null || place == null || when == null || reach == null
                ? null
                : new Notice(
                        id,
                        unit,
                        title,
                        text,
                        place,
                        links,
                        files,
                        when,
                        sections,
                        Words.constant(Notice.Reach.class, reach),
                        only,
                        shared,
                        hidden,
                        extra);
    }

    /** When a notice is; null when a fault leaves it without meaning. */
    public static @Nullable NoticeTime time(In in) {
        DateRule begins = in.object("begins", RuleReader::rule);
        DateRule ends = in.object("ends", RuleReader::rule);
        List<NoticeTime.Repeat> repeats = in.objects("repeats", BesidesReader::repeat);
        boolean series = !repeats.isEmpty();
        boolean allDay = in.flag("allDay", series && repeats.stream().allMatch(r -> r.time() == null));
        Map<LocalDate, Optional<LocalDateTime>> instead = new TreeMap<>();
        in.entries("instead", entry -> {
            LocalDate day = entry.keyAs("a date such as 2026-10-05", LocalDate::parse);
            LocalDateTime to = entry.none() ? null : entry.text("a date and time", LocalDateTime::parse);
            if (day != null && (entry.none() || to != null)) {
                instead.put(day, Optional.ofNullable(to));
            }
        });
        if (begins != null && series) {
            in.faults().fatal(in.pointer(), "A notice is once, with “begins”, or a series, with “repeats”: not both.");
            return null;
        }
        if (begins == null && !series) {
            if (!in.has("begins") && !in.has("repeats")) {
                in.faults().fatal(in.pointer(), "Say when it is: “begins” is missing, and so is “repeats”.");
            }
            return null;
        }
        return new NoticeTime(allDay, begins, ends, repeats, instead);
    }

    /** A stretch of a series; null when a fault leaves it without meaning. */
    public static NoticeTime.@Nullable Repeat repeat(In in) {
        String rule = in.required("rule");
        LocalDate from = in.date("from");
        LocalDate until = in.date("until");
        LocalTime time = in.time("time");
        Integer minutes = in.number("minutes", 0, 0);
        in.extra();
        return rule == null || minutes == null ? null : new NoticeTime.Repeat(rule, from, until, time, minutes);
    }

    /** The rhythm; null when a fault leaves it without meaning. */
    public static @Nullable Rhythm rhythm(In in) {
        String id = in.id("id");
        String title = in.required("title");
        String unit = in.required("unit");
        Set<DayOfWeek> weekdays = new HashSet<>(in.texts("weekdays", "a weekday such as MO", Words::weekday));
        String words = in.text("words", "");
        Integer every = in.number("every", 1, 1);
        Integer begin = in.number("begin", 1, 1);
        Integer times = in.number("times", 0, 0);
        Map<String, Integer> yielded = new LinkedHashMap<>();
        in.entries("yielded", entry -> {
            Integer n = entry.number(0);
            if (n != null) {
                yielded.put(entry.key(), n);
            }
        });
        List<Rhythm.Part> parts = in.objects("parts", BesidesReader::part);
        Extra extra = in.extra();
        return id == null
                        || title == null
                        || unit == null
                        || words == null
                        || every == null
                        || begin == null
                        || times == null
                ? null
                : new Rhythm(id, title, unit, weekdays, words, every, begin, times, yielded, parts, extra);
    }

    /** What a rhythm brings each time; null when a fault leaves it without meaning. */
    public static Rhythm.@Nullable Part part(In in) {
        Offset remind = in.object("remind", one -> {
            Integer n = one.number("plus", 1, 1);
            String unit = one.word("in", "hours", List.of("minutes", "hours", "days", "weeks"));
            one.extra();
            return n == null || unit == null ? null : new Offset(n, Words.constant(Offset.Unit.class, unit));
        });
        Item item = CourseReader.item(in);
        return item == null ? null : new Rhythm.Part(item.id(), item, remind);
    }

    /** A few words on a day; null when a fault leaves them without meaning. */
    public static @Nullable DayNote dayNote(In in) {
        LocalDate date = in.date("date");
        if (date == null && !in.has("date")) {
            in.faults().fatal(in.pointer(), "“date” is missing.");
        }
        String section = in.text("section", null);
        String text = in.text("text", "");
        boolean own = in.flag("own", false);
        in.extra();
        return date == null || text == null ? null : new DayNote(date, section, text, own);
    }

    /** Headline and targets of a week; null when a fault leaves them without meaning. */
    public static @Nullable WeekNote weekNote(In in) {
        LocalDate first = in.date("first");
        if (first == null && !in.has("first")) {
            in.faults().fatal(in.pointer(), "“first” is missing: give a day of the week.");
        }
        String section = in.text("section", null);
        String headline = in.text("headline", "");
        List<String> targets = in.texts("targets", "a line of text", x -> x);
        in.extra();
        return first == null || headline == null ? null : new WeekNote(first, section, headline, targets);
    }
}
