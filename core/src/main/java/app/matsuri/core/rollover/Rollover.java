package app.matsuri.core.rollover;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.plan.BringCourses;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Waiting;
import app.matsuri.core.plan.Which;
import app.matsuri.core.plan.With;
import app.matsuri.core.repace.Way;
import app.matsuri.core.repace.Ways;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * Courses of one term copied to another. Rosters, records of what was taught, adjustments and what students were told stay
 * behind; files, links, rhythms and notices come along.
 *
 * @param from the old term
 * @param courses codes of the courses, one or more
 * @param units ids of the units that come; empty for all
 * @param taken what waited for a hand and was given a date
 * @param fit what finds no session is made to fit, by pacing each such section anew at the least cost
 * @param again units that are in the new term already are put in place of those
 */
public record Rollover(
        Decisions from,
        List<String> courses,
        Set<String> units,
        RollBy by,
        Map<Taken, LocalDateTime> taken,
        boolean fit,
        boolean again) {

    /**
     * Something that waits for a hand.
     *
     * @param what as in {@link Rolled}
     * @param id of the lesson or item; of dates that a unit has for what is in it {@code unit:} and the unit's
     */
    public record Taken(String course, String what, String id) {}

    public Rollover {
        courses = List.copyOf(courses);
        units = Set.copyOf(units);
        taken = Map.copyOf(taken);
    }

    /** All of a course, nothing given a date by hand yet. */
    public static Rollover of(Decisions from, String course, RollBy by) {
        return new Rollover(from, List.of(course), Set.of(), by, Map.of(), false, false);
    }

    /** The same by another way. */
    public Rollover by(RollBy other) {
        return new Rollover(from, courses, units, other, taken, fit, again);
    }

    /**
     * What the new term would come to.
     *
     * @throws app.matsuri.core.change.Refused when it cannot be done; the message says what to do
     */
    public RolledOver into(Decisions to) {
        Decisions now = to;
        List<String> notes = new ArrayList<>();
        List<CourseRolled> rolled = new ArrayList<>();
        for (String code : courses) {
            CourseRolled one = new CourseRolled(this, code, now, notes);
            rolled.add(one);
            now = one.brought();
        }
        now = keepingPartners(now);
        if (fit) {
            now = fitted(now, rolled, notes);
        }
        Schedule schedule = Schedule.of(now);
        List<Rolled> rows = new ArrayList<>();
        for (CourseRolled one : rolled) {
            rows.addAll(one.rows(schedule));
        }
        List<Course> brought = new ArrayList<>();
        for (String code : courses) {
            Course course = waiting(now.course(code).orElseThrow(), rows);
            now = now.withCourse(course);
            brought.add(course);
        }
        List<OfficeHours> hours = units.isEmpty() ? HoursRolled.of(from, courses, now, notes) : List.of();
        List<OfficeHours> all = new ArrayList<>(now.officeHours());
        all.addAll(hours);
        return new RolledOver(
                this,
                to,
                now.withOfficeHours(all),
                schedule,
                rows,
                notes,
                new BringCourses(sentence(), brought, hours));
    }

    /** The course with the dates kept that found no place and have no rule any more, until they are given one. */
    private static Course waiting(Course course, List<Rolled> rows) {
        Map<List<String>, List<Rolled>> waits = new LinkedHashMap<>();
        for (Rolled row : rows) {
            boolean waiting = row.course().equals(course.code()) && !row.placed();
            if (waiting && !row.what().equals(Rolled.LESSON) && !stands(course, row)) {
                waits.computeIfAbsent(List.of(row.what(), row.id()), k -> new ArrayList<>())
                        .add(row);
            }
        }
        List<Waiting> all = course.besides().waits();
        for (List<Rolled> same : waits.values()) {
            boolean everywhere = same.size() == course.sections().size();
            for (Rolled row : everywhere ? same.subList(0, 1) : same) {
                Waiting waiting = new Waiting(
                        row.what(), row.id(), everywhere ? null : row.section(), row.old(), row.suggested(), row.why());
                all = With.put(all, waiting::same, waiting);
            }
        }
        return course.withBesides(course.besides().withWaits(all));
    }

    /** Whether a date has a rule in the course, so that what is amiss is found by itself. */
    private static boolean stands(Course course, Rolled row) {
        return List.of("opens", "due", "closes").contains(row.what())
                && course.item(row.id())
                        .map(i -> i.rule(Which.valueOf(row.what().toUpperCase(Locale.ROOT))) != null)
                        .orElse(!row.id().startsWith("unit:"));
    }

    private String sentence() {
        String what = String.join(" and ", courses);
        String which = units.isEmpty() ? "" : units.size() == 1 ? ", one unit," : ", " + units.size() + " units,";
        String name =
                from.term().name().isEmpty() ? "the term before" : from.term().name();
        return "Roll over " + what + which + " from " + name + ", " + by.word();
    }

    /** What is shared with, or part of, a course that is not in the new term belongs to itself there. */
    private Decisions keepingPartners(Decisions now) {
        Set<String> known = new LinkedHashSet<>();
        now.courses().forEach(c -> {
            known.add(c.code());
            c.sections().forEach(s -> known.add(new SectionRef(c.code(), s.code()).toString()));
        });
        UnaryOperator<List<String>> kept =
                others -> others.stream().filter(known::contains).toList();
        Decisions all = now;
        for (String code : courses) {
            all = all.withCourse(
                    code,
                    course -> course.withSections(course.sections().stream()
                                    .map(s -> known.contains(s.partOf()) ? s : s.asPartOf(""))
                                    .toList())
                            .withUnits(course.units().stream()
                                    .map(u -> u.withItems(u.items().stream()
                                            .map(i -> i.withDetails(i.details()
                                                    .shared(kept.apply(
                                                            i.details().shared()))))
                                            .toList()))
                                    .toList())
                            .withBesides(course.besides().eachNotice(n -> n.withShared(kept.apply(n.shared())))));
        }
        return all;
    }

    /** One section of a course, as if there were no other course. */
    private static SectionSchedule alone(Decisions in, String code, String section) {
        return Schedule.of(in.withCourses(List.of(in.course(code).orElseThrow())))
                .section(code, section)
                .orElseThrow();
    }

    /** The section without the days that hold lessons on their number by class, so that they can come closer. */
    private Section unfixed(CourseRolled of, Section given) {
        Section section = given;
        for (Unit unit : of.units) {
            for (Lesson lesson : unit.lessons()) {
                boolean pinned = section.own(lesson.id()).pin().said().isPresent();
                if (pinned && of.pinned(lesson.id()) == null) {
                    section = section.withPin(lesson.id(), Own.asPlanned());
                }
            }
        }
        return section;
    }

    private Decisions fitted(Decisions in, List<CourseRolled> rolled, List<String> notes) {
        Decisions now = in;
        for (CourseRolled one : rolled) {
            String code = one.code;
            for (Section section : in.course(code).orElseThrow().sections()) {
                SectionSchedule schedule = alone(now, code, section.code());
                if (schedule.placements().stream().noneMatch(p -> p.noSession())) {
                    continue;
                }
                now = now.withCourse(code, c -> c.withSection(unfixed(one, section)));
                schedule = alone(now, code, section.code());
                Set<String> did = new LinkedHashSet<>();
                for (Way.Step step : Ways.fitting(schedule)) {
                    now = Change.make(step.change(), now).decisions();
                    did.add(step.sentence());
                }
                if (!did.isEmpty()) {
                    notes.add(code + " " + section.code() + " made to fit: " + String.join("; ", did) + ".");
                }
            }
        }
        return now;
    }
}
