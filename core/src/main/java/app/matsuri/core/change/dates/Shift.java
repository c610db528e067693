package app.matsuri.core.change.dates;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Later or earlier: moves a unit, lessons, items, a week or everything from a day on, and what follows comes along.
 *
 * @param section the section it concerns; null for the plan of every section
 * @param lessons ids; empty where another selection is given
 * @param unit id of a unit; null where another selection is given
 * @param items ids; empty where another selection is given
 * @param week a term week; null where another selection is given
 * @param from everything from this day on; null where another selection is given
 * @param by how far; negative is earlier
 * @param in what it counts in
 * @param onlyThese the lessons change places with the next ones instead of pushing them
 * @param keepUnit with {@code onlyThese}, the lessons stay in their unit
 */
public record Shift(
        String course,
        @Nullable String section,
        List<String> lessons,
        @Nullable String unit,
        List<String> items,
        @Nullable Integer week,
        @Nullable LocalDate from,
        int by,
        In in,
        boolean onlyThese,
        boolean keepUnit)
        implements Change {

    /** One that says nothing of units. */
    public Shift(
            String course,
            String section,
            List<String> lessons,
            String unit,
            List<String> items,
            Integer week,
            LocalDate from,
            int by,
            In in,
            boolean onlyThese) {
        this(course, section, lessons, unit, items, week, from, by, in, onlyThese, false);
    }

    /** What a shift counts in. */
    public enum In {
        /** The section's classes. */
        SESSIONS,
        /** Teaching days: days on which the term's weekdays teach. */
        WEEKDAYS,
        TEACHING_DAYS,
        /** Calendar days; what lands on a day off rolls to the next teaching day. */
        DAYS,
        WEEKS
    }

    public Shift {
        lessons = List.copyOf(lessons);
        items = List.copyOf(items);
    }

    @Override
    public Outcome apply(Decisions before) {
        if (by == 0) {
            throw new Refused("By nothing is no move: say by how many.");
        }
        return new Shifting(this, before).run();
    }

    @Override
    public Optional<LocalDateTime> takesHold(SectionSchedule in) {
        return Shifting.takesHold(this, in);
    }

    @Override
    public String sentence(Decisions before) {
        String far = Say.count(Math.abs(by), in == In.SESSIONS ? "class" : word());
        far = far.replace("classs", "classes");
        String rest = onlyThese ? ", only these" : "";
        return what(before) + (by > 0 ? " later by " : " earlier by ") + far + Find.in(course, section) + rest;
    }

    private String word() {
        return switch (in) {
            case WEEKDAYS -> "weekday";
            case TEACHING_DAYS -> "teaching day";
            case WEEKS -> "week";
            default -> "day";
        };
    }

    private String what(Decisions before) {
        if (unit != null) {
            return "Unit “" + Find.unit(before, course, unit).title() + "”";
        }
        if (from != null) {
            return "All from " + Say.day(from);
        }
        if (week != null) {
            return "Week " + week;
        }
        List<String> titles = new ArrayList<>();
        lessons.forEach(id -> titles.add("“" + Find.lesson(before, course, id).title() + "”"));
        items.forEach(id -> titles.add("“" + Find.item(before, course, id).title() + "”"));
        return titles.size() > 2 ? titles.size() + " things" : String.join(" and ", titles);
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        Set<Hand> hands = new HashSet<>();
        lessons.forEach(id -> hands.add(new Hand(course, id)));
        items.forEach(id -> hands.add(new Hand(course, id)));
        if (unit != null) {
            Find.unit(before, course, unit).lessons().stream()
                    .map(Lesson::id)
                    .forEach(id -> hands.add(new Hand(course, id)));
            Find.unit(before, course, unit).items().forEach(i -> hands.add(new Hand(course, i.id())));
        }
        return hands;
    }
}
