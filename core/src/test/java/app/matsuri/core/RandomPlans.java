package app.matsuri.core;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/** Made-up plans in a term of seven weeks, odder than real ones: every flag of a lesson and a section beside every other. */
public final class RandomPlans {

    private static final LocalDate FIRST = LocalDate.parse("2026-08-31");

    private final Random random;
    /** Lessons of whose section something was recorded. */
    private boolean recording = true;

    public RandomPlans(long seed) {
        random = new Random(seed);
    }

    /** The same without any record. */
    public RandomPlans untaught() {
        recording = false;
        return this;
    }

    /** One in so many. */
    private boolean one(int in) {
        return random.nextInt(in) == 0;
    }

    private LocalDate day() {
        return FIRST.plusDays(random.nextInt(52) - 2);
    }

    private Term term() {
        List<Closure> closures = new ArrayList<>();
        for (int i = 0; i < random.nextInt(4); i++) {
            LocalDate first = day();
            closures.add(Closure.of(first, first.plusDays(random.nextInt(6)), "Off " + i, "event"));
        }
        return Term.of("Odd", FIRST, FIRST.plusDays(46), Plans.CHICAGO).withClosures(closures);
    }

    /** A course HYD 210 with section A by sessions and section B by minutes. */
    public Decisions plan() {
        List<Unit> units = new ArrayList<>();
        int lessons = 0;
        int work = 0;
        for (int u = 0; u < 2 + random.nextInt(3); u++) {
            List<Lesson> own = new ArrayList<>();
            List<Item> items = new ArrayList<>();
            for (int l = 0; l < random.nextInt(6); l++) {
                String id = "L" + ++lessons;
                own.add(lesson(id));
                for (int i = 0; i < random.nextInt(2); i++) {
                    items.add(item("I" + ++work, id, "U" + u));
                }
            }
            String yields =
                    own.isEmpty() || !one(3) ? null : own.get(own.size() - 1).id();
            units.add(new Unit(
                    "U" + u, "U" + u, "Unit " + u, one(2), false, yields, "", Map.of(), own, items, Extra.NONE));
        }
        Course course = Course.of("HYD 210", "Reading Rivers", 50, List.of(Plans.sectionA(), Plans.sectionB()), units);
        Decisions plan = Decisions.of(term(), List.of(course));
        for (Section section : course.sections()) {
            plan = decided(plan, section);
        }
        return plan;
    }

    private Lesson lesson(String id) {
        int length = one(4) ? 2 + random.nextInt(2) : 1;
        return new Lesson(
                id,
                "Lesson " + id,
                length,
                1 + random.nextInt(length),
                one(6),
                one(5),
                one(8),
                one(7) ? day() : null,
                one(8) ? 1 + random.nextInt(2) : 0,
                "",
                LessonDetails.NONE,
                Extra.NONE);
    }

    private Item item(String id, String lesson, String unit) {
        DateRule due = switch (random.nextInt(5)) {
            case 0 -> DateRule.at(day().atTime(17, 0));
            case 1 ->
                DateRule.of(new Anchor.WithLesson(lesson, Edge.END))
                        .plus(random.nextInt(9) - 2, Offset.Unit.values()[random.nextInt(6)])
                        .at(LocalTime.of(9, 0));
            case 2 -> DateRule.of(new Anchor.WithUnit(unit, one(2) ? Edge.START : Edge.END));
            default -> DateRule.of(new Anchor.WithLesson(lesson, Edge.START));
        };
        DateRule closes = DateRule.of(new Anchor.OwnDate(Which.DUE)).plus(1, Offset.Unit.SESSIONS);
        return Item.of(id, one(2) ? lesson : null, one(3) ? "quiz" : "homework", "Work " + id, due)
                .withRules(one(2) ? Map.of(Which.CLOSES, closes) : Map.of());
    }

    private Decisions decided(Decisions plan, Section section) {
        SectionSchedule in =
                Schedule.of(plan).section("HYD 210", section.code()).orElseThrow();
        Set<String> out = new LinkedHashSet<>();
        Set<String> joined = new LinkedHashSet<>();
        Set<String> midWeek = new LinkedHashSet<>();
        Section with = section;
        for (Lesson lesson : in.course().lessons()) {
            String id = lesson.id();
            choose(out, id, 9);
            choose(joined, id, 6);
            choose(midWeek, id, 6);
            if (one(12)) {
                with = with.withGap(id, random.nextInt(4) - 1);
            }
            if (one(12)) {
                with = with.withLength(id, 1 + random.nextInt(2));
            }
            if (one(10)) {
                with = with.withPin(id, one(3) ? Own.none() : Own.other(day()));
            }
        }
        Set<LocalDateTime> held = new LinkedHashSet<>();
        Map<String, LocalDate> told = new LinkedHashMap<>();
        in.sessions().all().forEach(s -> choose(held, s.name(), 8));
        in.course().lessons().forEach(l -> {
            if (one(5)) {
                told.put(l.id(), day());
            }
        });
        for (String id : out) {
            with = with.withLeftOut(id, true);
        }
        for (String id : joined) {
            with = with.withJoined(id, true);
        }
        for (String id : midWeek) {
            with = with.withMidWeek(id, true);
        }
        with = with.withHoldsEmpty(held);
        with = with.withTold(Told.of(one(2) ? told : Map.of()));
        Section decided = with;
        Decisions now = plan.withCourse("HYD 210", c -> c.withSection(decided));
        return recording && one(2) ? taught(now, section.code()) : now;
    }

    private <T> void choose(Set<T> chosen, T one, int in) {
        if (one(in)) {
            chosen.add(one);
        }
    }

    /** Some classes with a record, of what was planned or of something else, or of nothing; some lessons in part. */
    private Decisions taught(Decisions plan, String section) {
        SectionSchedule in = Schedule.of(plan).section("HYD 210", section).orElseThrow();
        Map<LocalDateTime, List<String>> planned = in.lessonsBySession();
        List<Lesson> lessons = in.course().lessons();
        Map<LocalDateTime, List<String>> records = new LinkedHashMap<>();
        Set<String> partly = new LinkedHashSet<>();
        int upTo = random.nextInt(in.sessions().size() + 1);
        for (int i = 0; i < upTo; i++) {
            LocalDateTime name = in.sessions().get(i).name();
            List<String> ids = planned.getOrDefault(name, List.of());
            boolean other = one(10) && !lessons.isEmpty();
            if (!one(4)) {
                records.put(
                        name,
                        other
                                ? List.of(lessons.get(random.nextInt(lessons.size()))
                                        .id())
                                : one(8) ? List.of() : ids);
            }
            ids.forEach(id -> choose(partly, id, 4));
        }
        Section with = in.section().withTaught(records, partly);
        return plan.withCourse("HYD 210", c -> c.withSection(with));
    }
}
