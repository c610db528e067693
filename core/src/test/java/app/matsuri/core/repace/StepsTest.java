package app.matsuri.core.repace;

import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.meets;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Together;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.pace.RecordTaught;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.repace.Pacing.Kind;
import app.matsuri.core.repace.Pacing.Place;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The steps of ways out, made on random plans: the lessons then fall as the way said, at the cost that it said. */
class StepsTest {

    private static Decisions plan(Random random, Section.Pace pace) {
        List<Unit> units = new ArrayList<>();
        Map<String, LocalDate> told = new LinkedHashMap<>();
        int number = 0;
        for (int u = 0; u < 2 + random.nextInt(6); u++) {
            List<Lesson> lessons = new ArrayList<>();
            for (int l = 0; l < 1 + random.nextInt(6); l++) {
                int length = random.nextInt(4) == 0 ? 2 + random.nextInt(2) : 1;
                boolean reserve = random.nextInt(10) == 0;
                LocalDate pin = random.nextInt(14) == 0 ? demoTerm().first().plusDays(7 + random.nextInt(100)) : null;
                String id = "L" + ++number;
                lessons.add(new Lesson(
                        id,
                        id,
                        length,
                        random.nextBoolean() ? 1 : length,
                        random.nextInt(5) == 0 && !reserve,
                        random.nextInt(4) == 0,
                        reserve,
                        pin,
                        random.nextInt(12) == 0 ? 1 + random.nextInt(2) : 0,
                        "",
                        LessonDetails.NONE,
                        Extra.NONE));
                if (random.nextInt(3) == 0) {
                    told.put(id, demoTerm().first().plusDays(random.nextInt(100)));
                }
            }
            units.add(new Unit(
                    "U" + u,
                    "U" + u,
                    "Unit " + u,
                    random.nextBoolean(),
                    false,
                    null,
                    "",
                    Map.of(),
                    lessons,
                    List.of(),
                    Extra.NONE));
        }
        String days = List.of("MO,WE,FR", "TU,TH", "MO,TU,WE,TH,FR", "MO").get(random.nextInt(4));
        int minutes = pace == Section.Pace.SESSIONS ? 50 : List.of(75, 40, 110).get(random.nextInt(3));
        Section section =
                Section.of("A", pace, List.of(meets(days, "09:00", minutes))).withTold(Told.of(told));
        return Decisions.of(demoTerm(), List.of(Course.of("MAP 115", "Maps", 50, List.of(section), units)));
    }

    private static SectionSchedule follows(Decisions plan) {
        return Schedule.of(plan).sections().get(0);
    }

    private static void leadsThere(Decisions plan, Way way) {
        SectionSchedule before = follows(plan);
        assertThat(way.steps()).as(way.name()).isNotNull();
        List<Change> changes = way.steps().stream().map(Way.Step::change).toList();
        Decisions after = changes.isEmpty()
                ? plan
                : Change.make(new Together(way.sentence(), changes), plan).decisions();
        SectionSchedule then = follows(after);
        Map<String, List<LocalDateTime>> dates = new LinkedHashMap<>();
        then.placements()
                .forEach(p -> dates.put(
                        p.lesson().id(),
                        p.slots().stream()
                                .map(s -> then.sessions().get(s.session()).start())
                                .toList()));
        assertThat(dates).as("%s: %s", way.name(), way.steps()).isEqualTo(way.dates());
        assertThat(Scorer.total(Scorer.costs(Paced.of(before).stretch(), readBack(before, then, way))))
                .as("scored from the plan that it came to")
                .isEqualTo(way.total());
    }

    /** Where lessons fall in the new plan, in the terms of the old stretch. */
    private static Pacing readBack(SectionSchedule before, SectionSchedule then, Way way) {
        Paced paced = Paced.of(before);
        List<Place> places = new ArrayList<>();
        for (int i = 0; i < paced.placements().size(); i++) {
            Placement now =
                    then.byLesson().get(paced.placements().get(i).lesson().id());
            List<Integer> slots = now.slots().stream()
                    .filter(s -> !s.taught())
                    .map(s -> then.sessions().get(s.session()).name())
                    .map(name -> paced.sessions()
                            .indexOf(before.sessions().indexOf(name).orElseThrow()))
                    .toList();
            Stretch.Asked asked = paced.stretch().lessons().get(i);
            if (slots.isEmpty()) {
                // what has no room is left out as well where others are to go on behind it: that is no cheaper
                boolean may = way.edits().stream()
                        .anyMatch(
                                e -> asked.id().equals(e.lesson()) && !e.kind().equals("no-room"));
                boolean dropped = now.leftOut() || asked.begun() && now.taught();
                places.add(dropped && may ? Place.LEFT_OUT : Place.NO_ROOM);
            } else {
                boolean joined = then.section().own(asked.id()).joined();
                int given = paced.stretch().usual() == 0
                        ? slots.size()
                        : asked.length()
                                + then.section().length(now.lesson())
                                - before.section().length(now.lesson());
                places.add(
                        joined
                                ? Place.joined(slots.get(0))
                                : new Place(Kind.PLACED, slots.get(0), slots.size(), Math.max(1, given), 0));
            }
        }
        return new Pacing(places);
    }

    @ParameterizedTest
    @EnumSource(Section.Pace.class)
    void theStepsOfEveryWayLeadThere(Section.Pace pace) {
        Random random = new Random(20261125);
        int ways = 0;
        for (int n = 0; n < 250; n++) {
            Decisions plan = plan(random, pace);
            SectionSchedule now = follows(plan);
            if (random.nextBoolean()) {
                for (int s = 0; s < 3 && s < now.sessions().size(); s++) {
                    String lesson = now.placements().get(0).lesson().id();
                    List<String> taught = s == 0 ? List.of(lesson) : List.of();
                    plan = Change.make(
                                    new RecordTaught(
                                            "MAP 115",
                                            "A",
                                            now.sessions().get(s).name(),
                                            taught,
                                            s == 0 && random.nextBoolean(),
                                            ""),
                                    plan)
                            .decisions();
                }
            }
            Way tidy = Ways.tidy(follows(plan));
            leadsThere(plan, tidy);
            assertThat(tidy.total())
                    .isLessThanOrEqualTo(Ways.slide(follows(plan)).total());
            LocalDate lost =
                    now.sessions().get(random.nextInt(now.sessions().size())).date();
            Decisions after = Change.make(new AddClosure(Closure.of(lost, lost, "Flood", "event")), plan)
                    .decisions();
            for (Way way : Ways.out(follows(plan), follows(after), day("2026-11-02"), null)) {
                ways++;
                leadsThere(after, way);
            }
        }
        assertThat(ways).as("enough of them").isGreaterThan(400);
    }
}
