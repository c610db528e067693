package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Known;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Rhythms;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.exchange.plan.Words;
import app.matsuri.exchange.words.RepeatWords;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Work that repeats, as a typed line says it ("quiz: Stream names, every friday 10:00, 5 times"): a rhythm of the classes
 * on those weekdays, so that it stays one thing and follows its classes.
 */
public final class WorkRepeats {

    private static final Pattern WEEKLY = Pattern.compile("FREQ=WEEKLY;BYDAY=([A-Z,]+)");

    private WorkRepeats() {}

    /**
     * The rhythm that a line of work comes to.
     *
     * @param like the work as it is each time; its dates are not looked at
     * @param in the section in which it is typed: its classes are counted
     * @param from the day from which it repeats where the line says none
     * @throws IllegalArgumentException when classes do not come so; the message says what to do
     */
    public static Rhythm of(TypedLine line, Item like, Unit unit, SectionSchedule in, LocalDate from) {
        RepeatWords repeat = Known.there(line.repeat(), "work that repeats");
        LocalDate first = repeat.from() == null ? from : repeat.from();
        Set<DayOfWeek> weekdays = weekdays(repeat, first);
        String id = fresh(in.course());
        Rhythm all = new Rhythm(id, like.title(), unit.id(), weekdays, "", 1, 1, 0, Map.of(), List.of(), Extra.NONE);
        List<LocalDate> classes = Rhythms.days(all, in);
        long over = classes.stream().filter(d -> d.isBefore(first)).count();
        long comes = classes.stream()
                .skip(over)
                .filter(d -> repeat.until() == null || !d.isAfter(repeat.until()))
                .count();
        if (comes == 0) {
            throw new IllegalArgumentException("Work repeats with classes, and section "
                    + in.section().code() + " has none then. Take the weekdays of its classes, or a notice.");
        }
        long times = repeat.times() > 0 ? Math.min(repeat.times(), comes) : repeat.until() == null ? 0 : comes;
        return new Rhythm(
                id,
                like.title(),
                unit.id(),
                weekdays,
                "",
                1,
                (int) over + 1,
                (int) times,
                Map.of(),
                List.of(new Rhythm.Part("p1", dated(like, id, repeat), null)),
                Extra.NONE);
    }

    private static Set<DayOfWeek> weekdays(RepeatWords repeat, LocalDate first) {
        if (repeat.rule() == null && repeat.every() == 1) {
            return EnumSet.of(first.getDayOfWeek());
        }
        if ("FREQ=DAILY".equals(repeat.rule())) {
            return Set.of();
        }
        Matcher weekly = WEEKLY.matcher(repeat.rule() == null ? "" : repeat.rule());
        if (!weekly.matches()) {
            throw new IllegalArgumentException("In a line, work repeats with every class of a weekday (every friday)."
                    + " For others take “rhythms” below the outline.");
        }
        return Arrays.stream(weekly.group(1).split(","))
                .map(Words::weekday)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(DayOfWeek.class)));
    }

    /** Due at the start of the class, or at the time said; with two times it opens at the first. */
    private static Item dated(Item like, String id, RepeatWords repeat) {
        DateRule with = DateRule.of(new Anchor.InRhythm(id, 1, Edge.START));
        LocalTime start = repeat.start();
        Map<Which, DateRule> rules = new EnumMap<>(Which.class);
        for (Which which : Which.values()) {
            rules.put(which, null);
        }
        if (start == null) {
            rules.put(Which.DUE, with);
        } else if (repeat.minutes() == 0) {
            rules.put(Which.DUE, with.at(start));
        } else {
            rules.put(Which.OPENS, with.at(start));
            rules.put(Which.DUE, with.at(start.plusMinutes(repeat.minutes())));
        }
        return like.withRules(rules);
    }

    private static String fresh(Course course) {
        String id = "rhythm";
        for (int n = 2; course.rhythm(id).isPresent(); n++) {
            id = "rhythm-" + n;
        }
        return id;
    }
}
