package app.matsuri.core.runlist;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.notice.PutDayNote;
import app.matsuri.core.change.section.PutRoster;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.DayNote;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.Step;
import app.matsuri.core.plan.Student;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A class on the clock: screens.md, "a day's run list over all classes"; minutes are added up by hand. */
class RunClassTest {

    private static final Lesson GAUGES = new Lesson(
            "L1",
            "Gauges",
            2,
            1,
            false,
            false,
            false,
            null,
            0,
            "Count the waders.",
            new LessonDetails(
                    "",
                    List.of(new Step(20, "Warm-up"), new Step(30, "Reading gauges"), new Step(25, "Own readings")),
                    List.of(),
                    List.of()),
            Extra.NONE);
    private static final Item LOG = Item.of("W", null, "homework", "Log", DateRule.at(at("2026-08-31T17:00")));

    private final Decisions plan = plan(sectionA(), Unit.of("U", "Unit", List.of(GAUGES), List.of(LOG)));

    private static SectionSchedule first(Decisions in) {
        return Schedule.of(in).sections().get(0);
    }

    private static List<String> steps(RunClass of) {
        return of.parts().stream()
                .flatMap(p -> p.steps().stream())
                .map(s -> s.start().toLocalTime() + " " + s.minutes() + " " + s.text())
                .toList();
    }

    @Test
    void stepsStandOnTheClockInTheClassInWhichTheyBegin() {
        RunClass monday = RunClass.of(first(plan), day("2026-08-31")).get(0);
        assertThat(steps(monday)).containsExactly("10:00 20 Warm-up", "10:20 30 Reading gauges");
        RunClass wednesday = RunClass.of(first(plan), day("2026-09-02")).get(0);
        assertThat(steps(wednesday)).containsExactly("10:00 25 Own readings");
        assertThat(wednesday.parts().get(0).part()).isEqualTo(2);
        assertThat(RunClass.of(first(plan), day("2026-09-01"))).isEmpty();
    }

    @Test
    void whatRunsNowIsKnownToTheMinute() {
        RunClass monday = RunClass.of(first(plan), day("2026-08-31")).get(0);
        assertThat(monday.step(at("2026-08-31T10:19"))).map(TimedStep::text).hasValue("Warm-up");
        assertThat(monday.step(at("2026-08-31T10:20"))).map(TimedStep::text).hasValue("Reading gauges");
        assertThat(monday.runs(at("2026-08-31T10:49"))).isTrue();
        assertThat(monday.runs(at("2026-08-31T10:50"))).isFalse();
        assertThat(monday.step(at("2026-08-31T09:59"))).isEmpty();
    }

    @Test
    void itHasWhatIsDuePrivateWordsAndHowManyButNoName() {
        Decisions full = Change.make(
                        new PutDayNote("HYD 210", new DayNote(day("2026-08-31"), null, "Bring the weir key.", true)),
                        Change.make(new PutRoster("HYD 210", "A", List.of(new Student("1", "Wren Oakes", ""))), plan)
                                .decisions())
                .decisions();
        RunClass monday = RunClass.of(first(full), day("2026-08-31")).get(0);
        assertThat(monday.words()).containsExactly("Bring the weir key.");
        assertThat(monday.work()).singleElement().matches(w -> w.title().equals("Log"));
        assertThat(monday.students()).isEqualTo(1);
        assertThat(monday.toString()).doesNotContain("Wren");
    }
}
