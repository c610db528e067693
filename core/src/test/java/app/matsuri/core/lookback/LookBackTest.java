package app.matsuri.core.lookback;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.Plans;
import app.matsuri.core.change.plan.RememberPace;
import app.matsuri.core.findings.Findings;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Took;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.Schedule;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** How long units took: sessions counted from the records, weeks from the calendar, days lost with their reasons. */
class LookBackTest {

    /** Two units of three lessons; in the first the second lesson took two classes, and a Monday was a holiday. */
    private static Decisions taught() {
        Unit one = Unit.of("U1", "Unit one", lessons(1), List.of());
        Unit two = Unit.of("U2", "Unit two", lessons(4), List.of());
        Section a = Plans.sectionA();
        Map<LocalDateTime, List<String>> records = new LinkedHashMap<>();
        records.put(at("2026-08-31T10:00"), List.of("L1"));
        records.put(at("2026-09-02T10:00"), List.of("L2"));
        records.put(at("2026-09-04T10:00"), List.of("L2"));
        records.put(at("2026-09-09T10:00"), List.of("L3"));
        records.put(at("2026-09-11T10:00"), List.of("L4"));
        return Plans.plan(a.withTaught(records, Set.of()).withNote("L2", "The meter broke"), one, two);
    }

    private static List<Lesson> lessons(int from) {
        return List.of(
                Lesson.of("L" + from, "Lesson " + from, 1),
                Lesson.of("L" + (from + 1), "Lesson " + (from + 1), 1),
                Lesson.of("L" + (from + 2), "Lesson " + (from + 2), 1));
    }

    private static List<UnitPace> paces(Decisions decisions) {
        return LookBack.of(Schedule.of(decisions).sections().get(0));
    }

    @Test
    void aUnitTookTheSessionsInWhichItWasTaught() {
        UnitPace one = paces(taught()).get(0);
        assertThat(one.state()).isEqualTo(UnitPace.State.TAUGHT);
        assertThat(one.planned()).isEqualTo(3);
        assertThat(one.taught()).isEqualTo(4);
        assertThat(one.lengths()).containsEntry("L2", 2);
        assertThat(one.first()).isEqualTo(day("2026-08-31"));
        assertThat(one.last()).isEqualTo(day("2026-09-09"));
        assertThat(one.weeks()).isEqualTo(2);
        assertThat(one.lost()).extracting(UnitPace.Cell::what).containsExactly("Public holiday");
        assertThat(one.notes()).containsExactly("Lesson 2: The meter broke");
        assertThat(one.sentence()).isEqualTo("Two weeks: 4 sessions");
        assertThat(one.beside()).isEqualTo("1 more than planned");
    }

    @Test
    void aUnitUnderWayCountsWhatIsToCome() {
        UnitPace two = paces(taught()).get(1);
        assertThat(two.state()).isEqualTo(UnitPace.State.UNDER_WAY);
        assertThat(two.taught()).isEqualTo(1);
        assertThat(two.sessions()).isEqualTo(3);
        assertThat(two.beside()).isEqualTo("1 of 3 taught");
    }

    @Test
    void aWeekWithoutATeachingDayIsABreak() {
        Unit unit = Unit.of("U", "Unit", lessons(1), List.of());
        Section late = Plans.sectionA().withGap("L1", 16).withGap("L2", 0);
        Decisions plan = Plans.plan(late, unit);
        Decisions closed = plan.withTerm(plan.term()
                .withClosures(List.of(app.matsuri.core.calendar.Closure.of(
                        day("2026-10-12"), day("2026-10-16"), "Autumn break", "break"))));
        UnitPace pace = paces(closed).get(0);
        assertThat(pace.first()).isEqualTo(day("2026-10-07"));
        assertThat(pace.last()).isEqualTo(day("2026-10-19"));
        assertThat(pace.sentence()).isEqualTo("Three weeks, of which one was a break: 3 sessions");
    }

    /** By minutes a class of 75 is one and a half usual ones of 50. */
    @Test
    void aSectionByMinutesIsCountedInUsualSessions() {
        UnitPace pace = LookBack.of(
                        Schedule.of(Plans.plan(Plans.sectionB(), Unit.of("U", "Unit", lessons(1), List.of())))
                                .sections()
                                .get(0))
                .get(0);
        assertThat(pace.sessions()).isEqualTo(2);
        assertThat(pace.usual()).isEqualTo(3);
    }

    @Test
    void aUnitThatHasLessThanItEverTookIsFound() {
        Decisions plan = Plans.plan(Plans.sectionA(), Unit.of("U1", "Unit one", lessons(1), List.of()));
        Decisions known = new RememberPace(
                        "HYD 210",
                        List.of(new Took("U1", "Spring 2025", "A", 4), new Took("U1", "Spring 2026", "A", 6)))
                .apply(plan)
                .decisions();
        assertThat(Findings.of(Schedule.of(known)))
                .filteredOn(f -> f.code().equals("unit-too-tight"))
                .extracting(f -> f.sentence())
                .containsExactly("“Unit one” has 3 sessions; in 2 earlier terms it took 4 to 6.");
        Decisions enough = known.withCourse("HYD 210", c -> c.withLesson("L2", l -> l.withLength(2)));
        assertThat(Findings.of(Schedule.of(enough)))
                .filteredOn(f -> f.code().equals("unit-too-tight"))
                .isEmpty();
    }

    @Test
    void whatIsTaughtToTheEndIsKeptForTheTermsToCome() {
        assertThat(LookBack.took(Schedule.of(taught()).sections().get(0), "Autumn 2026"))
                .containsExactly(new Took("U1", "Autumn 2026", "A", 4));
    }
}
