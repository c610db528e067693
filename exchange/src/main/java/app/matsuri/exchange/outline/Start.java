package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.plan.Besides;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.HoursAsked;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.exchange.plan.Words;
import app.matsuri.exchange.school.DaysOffReader;
import app.matsuri.exchange.sheet.Sheet;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.MeetsSaid;
import app.matsuri.exchange.words.MeetsWords;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * What a person types to start a term, as typed.
 *
 * @param weekdays the weekdays that teach, as MO to SU
 * @param daysOff the school's list of dates
 * @param course code and title, such as "HYD 210 Reading Rivers"
 * @param meets such as "MWF 10-10:50 Weir House 2"
 * @param outline a table or indented text
 * @param weekStart the weekday that begins a week of the term
 */
public record Start(
        String name,
        String first,
        String last,
        List<String> weekdays,
        String zone,
        String daysOff,
        String course,
        String section,
        String meets,
        String credits,
        String outline,
        DayOfWeek weekStart) {

    private static final Pattern CODE = Pattern.compile("^([\\p{Lu}]{2,8}\\s?\\d{1,4}\\p{Lu}{0,2})\\b[:,\\s]*(.*)$");

    /**
     * One part of it and what was understood.
     *
     * @param part "first", "last", "course", "meets" and so on
     * @param ok whether it was understood
     */
    public record Said(String part, boolean ok, String text) {}

    /**
     * What reading came to.
     *
     * @param decisions the term that it makes; null while something that it needs is missing or not understood
     */
    public record Reading(
            @Nullable Decisions decisions,
            List<Said> said,
            List<DaysOffReader.Line> daysOff,
            List<OutlineReader.Line> outline) {}

    /**
     * What a person has settled of what was in doubt.
     *
     * @param daysOff lines of the list of days off that are taken
     * @param rows of the outline, by number: "unit", "lesson", "work" or "nothing"
     */
    public record Settled(Set<Integer> daysOff, Map<Integer, String> rows) {
        public static final Settled NOTHING = new Settled(Set.of(), Map.of());
    }

    /** Reads what was typed; days without a year lie near the given day. */
    public Reading read(LocalDate today) {
        return read(today, Settled.NOTHING);
    }

    /** Likewise, with what was settled. */
    public Reading read(LocalDate today, Settled settled) {
        List<Said> said = new ArrayList<>();
        LocalDate from = day("first", first, new DayWords(today, null, null), said);
        LocalDate to = day("last", last, new DayWords(today, from, from == null ? null : from.plusYears(1)), said);
        if (from != null && to != null && to.isBefore(from)) {
            said.add(new Said(
                    "last",
                    false,
                    "The last day " + Say.day(to) + " lies before the first, " + Say.day(from)
                            + ". Exchange them or mend one."));
            to = null;
        } else if (from != null && to != null && to.isAfter(from.plusDays(Term.MOST_DAYS))) {
            said.add(new Said("last", false, "That is more than five years after the first day. Check the year."));
            to = null;
        }
        DayWords days = new DayWords(from == null ? today : from, from, to);
        Optional<Course> bare = course(List.of(), days, said);
        Set<DayOfWeek> teaching = EnumSet.noneOf(DayOfWeek.class);
        weekdays.forEach(w -> teaching.add(Words.weekday(w)));
        List<DaysOffReader.Line> off = DaysOffReader.read(daysOff, days, teaching).stream()
                .map(line -> settled.daysOff().contains(line.number()) ? line.settled() : line)
                .toList();
        if (teaching.isEmpty()) {
            said.add(new Said("weekdays", false, "Tick at least one weekday that teaches."));
        }
        if (from == null || to == null || teaching.isEmpty()) {
            return new Reading(
                    null, said, off, OutlineReader.read(outline, days).lines());
        }
        List<Closure> closures = off.stream()
                .filter(DaysOffReader.Line::taken)
                .map(DaysOffReader.Line::closure)
                .filter(Objects::nonNull)
                .toList();
        TreeSet<LocalDate> extra = new TreeSet<>();
        TreeMap<LocalDate, DayOfWeek> runsAs = new TreeMap<>();
        off.stream()
                .filter(DaysOffReader.Line::taken)
                .map(DaysOffReader.Line::mark)
                .filter(Objects::nonNull)
                .forEach(mark -> {
                    DayOfWeek as = mark.weekday();
                    if (as == null) {
                        extra.add(mark.first());
                    } else {
                        runsAs.put(mark.first(), as);
                    }
                });
        Term term = new Term(
                name.strip(), from, to, zoneOf(), teaching, weekStart, null, closures, extra, runsAs, null, Extra.NONE);
        TeachingCalendar calendar = TeachingCalendar.of(term);
        said.add(new Said(
                "term",
                true,
                Say.days(from, to) + " " + to.getYear() + ", " + Say.count(calendar.weeks(), "week") + ", "
                        + Say.count(calendar.teachingDays().size(), "teaching day")));
        Decisions empty = bare.map(c -> Decisions.of(term, List.of(c))).orElse(null);
        if (empty == null) {
            return new Reading(
                    null, said, off, OutlineReader.read(outline, days).lines());
        }
        Course with = empty.courses().get(0);
        OutlineReader.Reading plan = OutlineReader.read(
                Sheet.of(outline), Into.plan(days, empty, with, null).said(Map.of(), settled.rows()));
        return new Reading(empty.withCourse(with.withUnits(plan.units())), said, off, plan.lines());
    }

    private ZoneId zoneOf() {
        try {
            return ZoneId.of(zone);
        } catch (DateTimeException e) {
            return ZoneOffset.UTC;
        }
    }

    private static @Nullable LocalDate day(String part, String text, DayWords days, List<Said> said) {
        if (text.isBlank()) {
            said.add(new Said(part, false, ""));
            return null;
        }
        Optional<LocalDate> day = days.read(text);
        said.add(day.map(d -> new Said(part, true, Say.day(d) + " " + d.getYear()))
                .orElse(new Said(part, false, "“" + text.strip() + "” is no day. Write it as 31 aug or 2026-08-31.")));
        return day.orElse(null);
    }

    private Optional<Course> course(List<Unit> units, DayWords days, List<Said> said) {
        if (course.isBlank()) {
            said.add(new Said("course", false, ""));
            return Optional.empty();
        }
        Matcher m = CODE.matcher(course.strip());
        String code = m.matches() ? m.group(1) : course.strip();
        String title = m.matches() && !m.group(2).isBlank() ? m.group(2).strip() : code;
        if (code.length() > 100) {
            said.add(new Said("course", false, "That is too long for a course's code and title."));
            return Optional.empty();
        }
        said.add(new Said("course", true, code + (title.equals(code) ? "" : ", " + title)));
        List<MeetingPattern> patterns = MeetsWords.readAll(meets, days);
        said.add(
                patterns.isEmpty()
                        ? new Said(
                                "meets",
                                false,
                                meets.isBlank()
                                        ? ""
                                        : "Days or times were not understood. Write it as MWF 10-10:50 Weir House 2; a"
                                                + " second meeting behind “;”.")
                        : new Said(
                                "meets",
                                true,
                                String.join(
                                        "; ",
                                        patterns.stream().map(MeetsSaid::say).toList())));
        Integer required = null;
        HoursAsked asks = null;
        if (!credits.isBlank()) {
            Optional<Integer> n = DayWords.count(credits.strip()).filter(c -> c > 0 && c < 100);
            asks = n.map(c -> new HoursAsked(HoursAsked.In.CREDITS, c)).orElse(null);
            required = asks == null ? null : asks.classMinutes();
            said.add(n.map(c -> new Said(
                            "credits",
                            true,
                            String.format("%,d minutes of class", c * HoursAsked.CLASS_MINUTES_PER_CREDIT)))
                    .orElse(new Said("credits", false, "Give a whole number of credits, or leave it empty.")));
        }
        if (patterns.isEmpty()) {
            return Optional.empty();
        }
        Section group = Section.of(section.isBlank() ? "A" : section.strip(), Section.Pace.SESSIONS, patterns);
        return Optional.of(new Course(
                code,
                title,
                required,
                asks,
                patterns.get(0).minutes(),
                Course.WEEK_LIMIT,
                Course.DAY_LIMIT,
                List.of(group),
                units,
                Besides.NONE,
                Extra.NONE));
    }
}
