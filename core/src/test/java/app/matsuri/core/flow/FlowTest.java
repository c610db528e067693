package app.matsuri.core.flow;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.meets;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.flow.Placement.Lack;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Placing lessons on sessions. */
class FlowTest {

    private static SectionSchedule follows(Decisions plan) {
        return Schedule.of(plan).sections().get(0);
    }

    private static List<LocalDate> days(SectionSchedule in, String lesson) {
        return in.byLesson().get(lesson).slots().stream()
                .map(s -> in.sessions().get(s.session()).date())
                .toList();
    }

    private static Unit lessons(Lesson... lessons) {
        return Unit.of("U", "Unit", List.of(lessons), List.of());
    }

    /** The worked example of pacing by minutes. */
    @Test
    void fourLessonsOf50MinutesOnThreeSessionsOf75() {
        Section b = Section.of("B", Section.Pace.MINUTES, List.of(meets("TU,TH", "13:00", 75)));
        SectionSchedule in = follows(plan(b, unit(4)));
        assertThat(days(in, "L1")).containsExactly(day("2026-09-01"));
        assertThat(days(in, "L2")).containsExactly(day("2026-09-01"), day("2026-09-03"));
        assertThat(days(in, "L3")).containsExactly(day("2026-09-03"));
        assertThat(days(in, "L4")).containsExactly(day("2026-09-08"));
    }

    @Test
    void lessonsTakeWholeSessionsInOrder() {
        SectionSchedule in = follows(plan(sectionA(), lessons(Lesson.of("L1", "", 2), Lesson.of("L2", "", 1))));
        assertThat(days(in, "L1")).containsExactly(day("2026-08-31"), day("2026-09-02"));
        assertThat(days(in, "L2")).containsExactly(day("2026-09-04"));
    }

    @Test
    void aGapLeavesSessionsEmpty() {
        Section own = sectionA().withGap("L1", 1);
        SectionSchedule in = follows(plan(own, lessons(Lesson.of("L1", "", 1).withGap(1))));
        assertThat(days(in, "L1")).containsExactly(day("2026-09-04"));
    }

    @Test
    void aUnitThatAsksForAWeekStartBeginsOnTheFirstSessionOfAWeek() {
        Unit first = Unit.of("U", "Unit", List.of(Lesson.of("L1", "", 1)), List.of());
        Unit second = new Unit(
                "V",
                "V",
                "V",
                true,
                false,
                null,
                "",
                java.util.Map.of(),
                List.of(Lesson.of("L2", "", 1)),
                List.of(),
                Extra.NONE);
        SectionSchedule in = follows(plan(sectionA(), first, second));
        assertThat(days(in, "L2")).as("Monday the 7th is a holiday").containsExactly(day("2026-09-09"));
    }

    @Test
    void aPinGoesToItsDateWhateverTheGap() {
        SectionSchedule in = follows(plan(
                sectionA(),
                lessons(Lesson.of("L1", "", 1).withPin(day("2026-10-02")).withGap(3))));
        assertThat(days(in, "L1")).containsExactly(day("2026-10-02"));
    }

    @Test
    void aPinOnADayWithoutASessionGoesToTheNext() {
        SectionSchedule in =
                follows(plan(sectionA(), lessons(Lesson.of("L1", "", 1).withPin(day("2026-10-12")))));
        assertThat(days(in, "L1")).containsExactly(day("2026-10-14"));
    }

    @Test
    void aSectionsPinGoesBeforeThePlansAndMayTakeItAway() {
        Unit pinned = lessons(Lesson.of("L1", "", 1).withPin(day("2026-10-02")));
        Section own = sectionA().withPin("L1", Own.other(day("2026-10-05")));
        assertThat(days(follows(plan(own, pinned)), "L1")).containsExactly(day("2026-10-05"));
        Section free = sectionA().withPin("L1", Own.none());
        assertThat(days(follows(plan(free, pinned)), "L1")).containsExactly(day("2026-08-31"));
    }

    @Test
    void whatWouldRunIntoAPinFindsNoSessionNorDoesWhatStandsBehindIt() {
        SectionSchedule in = follows(plan(
                sectionA(),
                lessons(
                        Lesson.of("L1", "", 1),
                        Lesson.of("L2", "", 2),
                        Lesson.of("L3", "", 1),
                        Lesson.of("L4", "", 1).withPin(day("2026-09-04")))));
        assertThat(in.byLesson().get("L2").why()).isEqualTo(Lack.BEFORE_PIN);
        assertThat(in.byLesson().get("L2").missing()).isEqualTo(1);
        assertThat(in.byLesson().get("L3").noSession()).isTrue();
        assertThat(days(in, "L4")).containsExactly(day("2026-09-04"));
    }

    @Test
    void aPinBeforeTheCursorHasNoRoomNorHasAnythingUpToTheNextPin() {
        SectionSchedule in = follows(plan(
                sectionA(),
                lessons(
                        Lesson.of("L1", "", 3).withPin(day("2026-09-02")),
                        Lesson.of("L2", "", 1).withPin(day("2026-09-04")),
                        Lesson.of("L3", "", 1),
                        Lesson.of("L4", "", 1).withPin(day("2026-09-16")))));
        assertThat(in.byLesson().get("L1").noSession())
                .as("it would run into the next pin")
                .isTrue();
        assertThat(days(in, "L2")).containsExactly(day("2026-09-04"));
        assertThat(days(in, "L3")).containsExactly(day("2026-09-09"));
        assertThat(days(in, "L4")).containsExactly(day("2026-09-16"));
    }

    @Test
    void whatFallsOffTheEndFindsNoSession() {
        SectionSchedule in = follows(plan(sectionA(), unit(46)));
        assertThat(in.byLesson().get("L44").placed()).isTrue();
        assertThat(in.byLesson().get("L45").why()).isEqualTo(Lack.TERM_ENDS);
        assertThat(in.byLesson().get("L46").noSession()).isTrue();
    }

    @Test
    void theRestOfAPartlyTaughtLessonGoesOnInItsPlace() {
        Section taught = sectionA()
                .withTaught(
                        Map.of(at("2026-08-31T10:00"), List.of("L1"), at("2026-09-02T10:00"), List.of("L2")),
                        Set.of("L2"));
        SectionSchedule in =
                follows(plan(taught, lessons(Lesson.of("L1", "", 1), Lesson.of("L2", "", 3), Lesson.of("L3", "", 1))));
        assertThat(days(in, "L2")).containsExactly(day("2026-09-02"), day("2026-09-04"), day("2026-09-09"));
        assertThat(days(in, "L3")).containsExactly(day("2026-09-11"));
    }

    @Test
    void aRecordWithoutALessonCountsForTheCursor() {
        Section taught = sectionA().withTaught(Map.of(at("2026-09-02T10:00"), List.of()), Set.of());
        assertThat(days(follows(plan(taught, unit(1))), "L1")).containsExactly(day("2026-09-04"));
    }

    @Test
    void heldSessionsAreLeftEmpty() {
        Section held = sectionA().withHoldsEmpty(Set.of(at("2026-08-31T10:00")));
        assertThat(days(follows(plan(held, unit(1))), "L1")).containsExactly(day("2026-09-02"));
    }

    /** Law: order is kept, no session is taken twice by sessions, and nothing is placed on what is not usable. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20})
    void orderIsKept(long seed) {
        Random random = new Random(seed);
        boolean byMinutes = random.nextBoolean();
        List<Lesson> lessons = new ArrayList<>();
        for (int i = 0; i < 10 + random.nextInt(30); i++) {
            Lesson lesson =
                    Lesson.of("L" + i, "Lesson " + i, 1 + random.nextInt(3)).withGap(random.nextInt(4) / 3);
            lessons.add(
                    random.nextInt(8) == 0 ? lesson.withPin(day("2026-08-31").plusDays(random.nextInt(100))) : lesson);
        }
        Section section = Section.of(
                "A",
                byMinutes ? Section.Pace.MINUTES : Section.Pace.SESSIONS,
                List.of(meets("MO,WE,FR", "10:00", byMinutes ? 75 : 50)));
        SectionSchedule in = follows(plan(section, Unit.of("U", "Unit", lessons, List.of())));
        int last = -1;
        for (Placement placement : in.placements()) {
            if (placement.placed()) {
                assertThat(placement.first()).isGreaterThanOrEqualTo(byMinutes ? last : last + 1);
                last = placement.last();
            } else {
                assertThat(placement.noSession()).isTrue();
            }
        }
    }
}
