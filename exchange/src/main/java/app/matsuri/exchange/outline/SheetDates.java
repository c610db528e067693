package app.matsuri.exchange.outline;

import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import app.matsuri.exchange.sheet.When;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.DueWords;
import app.matsuri.exchange.words.PlanNames;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The rules by which the dates of a sheet follow: with its class, so many classes or days after, the same weekday, else fixed. */
final class SheetDates {

    private static final LocalTime END_OF_DAY = LocalTime.of(23, 59);
    /** How far behind its lesson a date still follows it, in days. */
    private static final int FAR = 13;

    private final DueWords due;
    private final @Nullable SectionSchedule schedule;

    /**
     * @param schedule with the lessons in it; null where there is none
     */
    SheetDates(DayWords days, PlanNames names, @Nullable SectionSchedule schedule) {
        this.due = new DueWords(days, names);
        this.schedule = schedule;
    }

    /**
     * A date of a sheet.
     *
     * @param rules that may give it, the best first
     * @param target what the sheet says that it is; null where it says no date
     * @param timed whether it says a time too
     * @param doubt why there is none; empty where there is
     */
    record Wanted(List<DateRule> rules, @Nullable LocalDateTime target, boolean timed, String doubt) {

        static Wanted of(DateRule rule) {
            return new Wanted(List.of(rule), null, false, "");
        }

        static Wanted none(String doubt) {
            return new Wanted(List.of(), null, false, doubt);
        }
    }

    /**
     * How a date follows.
     *
     * @param lesson that it belongs to; null for none
     * @param day the day of its row, where it belongs to none; null for none
     * @param week the first day of the week that its row stands for; null where it stands for a class
     */
    Wanted wanted(When when, Which which, @Nullable Lesson lesson, @Nullable LocalDate day, @Nullable LocalDate week) {
        LocalTime edge = which == Which.OPENS ? LocalTime.MIDNIGHT : END_OF_DAY;
        return switch (when.sort()) {
            case DAY -> day(at(when, edge), when.time() != null, lesson);
            case WEEKDAY -> weekday(when, edge, lesson, week);
            case CLASS_START, IN_CLASS ->
                when.day() != null
                        ? ofClass(when.day(), lesson)
                        : lesson == null ? loose(when, day, edge) : Wanted.of(with(lesson, Edge.START));
            case CLASS_END -> lesson == null ? loose(when, day, edge) : Wanted.of(with(lesson, Edge.END));
            case NEXT_CLASS ->
                lesson == null
                        ? loose(when, day, edge)
                        : Wanted.of(with(lesson, Edge.START).plus(1, Offset.Unit.SESSIONS));
            case LAST_CLASS ->
                lesson == null
                        ? loose(when, day, edge)
                        : Wanted.of(
                                lesson.length() == 1
                                        ? with(lesson, Edge.START)
                                        : with(lesson, Edge.START).plus(lesson.length() - 1, Offset.Unit.SESSIONS));
            case TIME -> {
                LocalTime time = when.time() == null ? edge : when.time();
                yield lesson == null
                        ? day == null ? Wanted.none(unclear(when)) : day(day.atTime(time), true, null)
                        : Wanted.of(with(lesson, Edge.START).at(time));
            }
            case WORDS -> words(when, which, lesson);
        };
    }

    private static LocalDateTime at(When when, LocalTime edge) {
        LocalDate day = when.day();
        if (day == null) {
            throw new IllegalStateException("a day without a date");
        }
        return day.atTime(when.time() == null ? edge : when.time());
    }

    private static DateRule with(Lesson lesson, Edge edge) {
        return DateRule.of(new Anchor.WithLesson(lesson.id(), edge));
    }

    private static String unclear(When when) {
        return "“" + when.text().strip()
                + "” was not understood: no date was taken. Write “due next class”, “due 2 days"
                + " after, 23:59” or “due 3 nov”.";
    }

    /** Of work outside the classes: the day of its row. */
    private static Wanted loose(When when, @Nullable LocalDate day, LocalTime edge) {
        return day == null
                ? Wanted.none(when.text().isBlank() ? "" : unclear(when))
                : new Wanted(List.of(DateRule.at(day.atTime(edge))), day.atTime(edge), false, "");
    }

    private Wanted words(When when, Which which, @Nullable Lesson lesson) {
        String text = when.text().replaceAll("(?i)\\bafter (?:the )?(?:lab|lesson|unit|quiz|test|class)\\b.*", "after");
        Optional<DateRule> rule = due.read(text, lesson == null ? null : lesson.id(), which);
        return rule.map(Wanted::of).orElseGet(() -> Wanted.none(unclear(when)));
    }

    /** The start of the class on a day. */
    private Wanted ofClass(LocalDate day, @Nullable Lesson lesson) {
        Session found = session(day);
        if (found == null) {
            return Wanted.none("The section has no class on " + day + ", with whose start it would be due.");
        }
        return day(found.start(), true, lesson);
    }

    private @Nullable Session session(LocalDate day) {
        return schedule == null
                ? null
                : schedule.sessions().all().stream()
                        .filter(s -> s.date().equals(day))
                        .findFirst()
                        .orElse(null);
    }

    private Wanted weekday(When when, LocalTime edge, @Nullable Lesson lesson, @Nullable LocalDate week) {
        DayOfWeek on = when.weekday();
        if (on == null) {
            return Wanted.none(unclear(when));
        }
        LocalTime time = when.time() == null ? edge : when.time();
        if (week != null) {
            LocalDate monday = week.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
            return day(monday.plusDays(on.getValue() - 1L).atTime(time), when.time() != null, lesson);
        }
        if (lesson == null) {
            return Wanted.none(unclear(when));
        }
        boolean strictly = when.text().matches("(?i).*\\b(?:after|later|next|following)\\b.*");
        DateRule end = with(lesson, Edge.END);
        DateRule from = strictly ? end.plus(1, Offset.Unit.DAYS) : end;
        return Wanted.of(from.snapped(on, false).at(time));
    }

    /** Rules from its lesson that may give a moment, and behind them the moment itself. */
    private Wanted day(LocalDateTime target, boolean timed, @Nullable Lesson lesson) {
        List<DateRule> rules = new ArrayList<>();
        Placement placed = lesson == null || schedule == null
                ? null
                : Optional.ofNullable(schedule.byLesson().get(lesson.id()))
                        .filter(Placement::placed)
                        .orElse(null);
        if (placed != null && lesson != null && schedule != null) {
            Session first = schedule.sessions().get(placed.first());
            Session last = schedule.sessions().get(placed.last());
            LocalTime time = target.toLocalTime();
            int at = schedule.sessions().firstAfter(target) - 1;
            at = at >= 0 && schedule.sessions().get(at).start().equals(target) ? at : -1;
            if (target.equals(first.start())) {
                rules.add(with(lesson, Edge.START));
            } else if (at >= 0 && at - placed.first() > 0 && at - placed.first() <= 3) {
                rules.add(with(lesson, Edge.START).plus(at - placed.first(), Offset.Unit.SESSIONS));
            } else if (target.equals(last.end())) {
                rules.add(with(lesson, Edge.END));
            }
            long behind = target.toLocalDate().toEpochDay() - last.date().toEpochDay();
            long ahead = target.toLocalDate().toEpochDay() - first.date().toEpochDay();
            DateRule end = with(lesson, Edge.END);
            if (ahead == 0) {
                rules.add(with(lesson, Edge.START).at(time));
            } else if (behind == 0) {
                rules.add(end.at(time));
            } else if (behind > 0 && behind <= FAR) {
                DateRule from = behind > 6 ? end.plus(1, Offset.Unit.WEEKS) : end;
                rules.add(from.snapped(target.getDayOfWeek(), false).at(time));
                rules.add(end.plus((int) behind, Offset.Unit.DAYS).at(time));
            } else if (ahead < 0 && ahead >= -FAR) {
                rules.add(with(lesson, Edge.START)
                        .plus((int) ahead, Offset.Unit.DAYS)
                        .at(time));
            }
        }
        List<DateRule> all = new ArrayList<>();
        for (DateRule rule : rules) {
            all.add(rule);
            all.add(rule.onDayOff(DateRule.OnDayOff.STAY)); // where nothing may be due on the day that the sheet says
        }
        all.add(DateRule.at(target));
        return new Wanted(all, target, timed, "");
    }
}
