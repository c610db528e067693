package app.matsuri.exchange.words;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Dated;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.ThingDates;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Reads what is typed into a date's cell, by the item it stands beside, the date that stands there now, and the section
 * it is for: everything {@link DueWords} reads, and "5pm" (the same day), "+7 days" and "next class" without a lesson
 * (from the date that stands there), "never" and an empty cell (no date), "same" (as the plan says).
 */
public final class CellWords {

    private static final LocalTime END_OF_DAY = LocalTime.of(23, 59);
    private static final Pattern NONE = Pattern.compile("(?i)|[-–—]|never|none|no date|when told|always open");
    private static final Pattern AS_PLANNED = Pattern.compile("(?i)same|as planned|same as plan|like the others");
    private static final Pattern NEXT_CLASS = Pattern.compile("(?i)(the )?(next|following) (class|session)");
    private static final Pattern FROM_THERE =
            Pattern.compile("(?i)[+]\\s*\\d{1,3}\\s*(d|days?|w|weeks?)?|(next |this |on )?" + DayWords.WEEKDAY);

    private final Decisions decisions;
    private final Schedule schedule;
    private final LocalDate today;
    private final boolean dayFirst;
    private final Map<String, PlanNames> names = new HashMap<>();

    /**
     * @param dayFirst whether 10/11 is the tenth of November
     */
    public CellWords(Decisions decisions, Schedule schedule, LocalDate today, boolean dayFirst) {
        this.decisions = decisions;
        this.schedule = schedule;
        this.today = today;
        this.dayFirst = dayFirst;
    }

    /** What was typed is not understood; the message says what to write. */
    public static final class NotUnderstood extends Exception {
        private static final long serialVersionUID = 1;

        NotUnderstood(String message) {
            super(message);
        }
    }

    /**
     * What a cell says.
     *
     * @param own the rule, or none
     * @param said the rule in words
     * @param date what it comes to there; null for no date
     */
    public record Cell(
            Own<DateRule> own, String said, @Nullable Resolved date) {}

    /** Reads a cell alone. */
    public Cell read(String course, String item, String section, Which which, String given) throws NotUnderstood {
        return read(course, item, section, which, given, Map.of());
    }

    /**
     * Reads a cell.
     *
     * @param section the section it is for; null for the plan, seen in the first section that the item is for
     * @param beside what the cells of its other dates say, where they are read with it
     */
    public Cell read(
            String course,
            String item,
            @Nullable String section,
            Which which,
            String given,
            Map<Which, Own<DateRule>> beside)
            throws NotUnderstood {
        Course in = decisions
                .course(course)
                .orElseThrow(() -> new NotUnderstood("There is no course “" + course + "” in this term."));
        Dated thing =
                Dated.find(in, item).orElseThrow(() -> new NotUnderstood("“" + course + "” has no “" + item + "”."));
        SectionSchedule follows = in.sections().stream()
                .filter(s -> section == null || s.code().equals(section))
                .filter(s -> thing.concerns(s.code()))
                .findFirst()
                .flatMap(s -> schedule.section(course, s.code()))
                .orElseThrow(() -> new NotUnderstood("“" + thing.title() + "” is not for that section."));
        ThingDates dates = follows.dated(thing)
                .orElseThrow(() -> new NotUnderstood("“" + thing.title() + "” is not for that section."));
        String text = given.strip();
        if (NONE.matcher(text).matches()) {
            return new Cell(Own.none(), which == Which.OPENS ? "always open" : "no date", null);
        }
        if (AS_PLANNED.matcher(text).matches()) {
            DateRule plan = thing.rule(which);
            return new Cell(Own.of(plan), "as planned", dates.would(follows, which, plan, beside));
        }
        DateRule rule = rule(text, in, thing, which, dates, follows);
        Resolved date = dates.would(follows, which, rule, beside);
        return new Cell(Own.other(rule), RuleSaid.brief(rule), date);
    }

    private DateRule rule(
            String text, Course course, Dated thing, Which which, ThingDates dates, SectionSchedule follows)
            throws NotUnderstood {
        DateRule now = dates.rule(which);
        Resolved stands = dates.get(which);
        Optional<LocalTime> time = TimeWords.read(text);
        if (time.isPresent()) {
            if (now == null) {
                throw new NotUnderstood(
                        "There is no day yet for “" + text + "”. Write a day before it: 3 nov, " + text + ".");
            }
            return now.plain() ? DateRule.at(now.typed().toLocalDate().atTime(time.get())) : now.at(time.get());
        }
        LocalDate base = stands != null && stands.resolved() ? stands.moment().toLocalDate() : today;
        Term term = decisions.term();
        PlanNames known = names.computeIfAbsent(course.code(), c -> PlanNames.of(course));
        Optional<DateRule> read = new DueWords(days(today, term), known).read(text, thing.lesson(), which);
        if (read.isPresent()) {
            return read.get();
        }
        if (NEXT_CLASS.matcher(text).matches()) {
            return nextClass(base, follows);
        }
        String day = text;
        LocalTime at = stands != null && stands.resolved() ? stands.moment().toLocalTime() : END_OF_DAY;
        Matcher m = TimeWords.TIME.matcher(text);
        if (m.find() && m.end() == text.length() && m.start() > 0) {
            at = TimeWords.of(m).orElse(at);
            day = text.substring(0, m.start()).replaceAll("(?i)[,\\s]+(at|by|um)?\\s*$", "");
        }
        if (FROM_THERE.matcher(day).matches()) {
            Optional<LocalDate> found = days(base, term).read(day);
            if (found.isPresent()) {
                return DateRule.at(found.get().atTime(at));
            }
        }
        throw new NotUnderstood("“" + (text.length() > 40 ? text.substring(0, 40) + "…" : text) + "” is no date yet."
                + " Write 3 nov, 17:00, next class, " + (thing.lesson() == null ? "CH2 +2 days" : "+2 days")
                + ", friday, due +2 days or never.");
    }

    /** Days of the term as people type them, counted from today. */
    public DayWords days() {
        return days(today, decisions.term());
    }

    private DayWords days(LocalDate base, Term term) {
        return new DayWords(base, term.first(), term.last(), dayFirst);
    }

    /** At the start of the lesson of the first class after the day; fixed where the class has no lesson. */
    private static DateRule nextClass(LocalDate day, SectionSchedule follows) throws NotUnderstood {
        int next = follows.sessions().firstAfter(day.atTime(23, 59));
        if (next >= follows.sessions().size()) {
            throw new NotUnderstood("There is no class after " + Say.day(day) + ".");
        }
        LocalDateTime start = follows.sessions().get(next).start();
        return follows.placements().stream()
                .filter(p -> p.placed() && p.first() == next)
                .findFirst()
                .map(p -> DateRule.of(new Anchor.WithLesson(p.lesson().id(), Edge.START)))
                .orElseGet(() -> DateRule.at(start));
    }

    /** Whether a user of the locale writes the day before the month: all but those who write it behind. */
    public static boolean dayFirst(Locale locale) {
        return !locale.getCountry().isEmpty()
                        && !Locale.US.getCountry().equals(locale.getCountry())
                        && !"PH".equals(locale.getCountry())
                || locale.getCountry().isEmpty() && !"en".equals(locale.getLanguage());
    }
}
