package app.matsuri.core.change;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.sectionB;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.RandomPlans;
import app.matsuri.core.change.pace.RecordHeld;
import app.matsuri.core.change.pace.RecordTaught;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.OwnLesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Records of what classes held. */
class RecordingTest {

    private static final String HYD = "HYD 210";

    private static Decisions twoClasses(Section section) {
        return plan(
                section,
                Unit.of("U", "Unit", List.of(Lesson.of("L1", "Floods", 2), Lesson.of("L2", "Bars", 1)), List.of()));
    }

    private static Decisions make(Decisions before, Change change) {
        return Change.make(change, before).decisions();
    }

    private static List<LocalDateTime> starts(Decisions plan, String lesson) {
        return starts(Schedule.of(plan).sections().get(0)).get(lesson);
    }

    private static Map<String, List<LocalDateTime>> starts(SectionSchedule in) {
        Map<String, List<LocalDateTime>> starts = new LinkedHashMap<>();
        in.placements()
                .forEach(p -> starts.put(
                        p.lesson().id(),
                        p.slots().stream()
                                .map(s -> in.sessions().get(s.session()).start())
                                .toList()));
        return starts;
    }

    @Test
    void theFirstOfTwoClassesLeavesTheSecondPlanned() {
        Decisions first = make(
                twoClasses(sectionA()), new RecordTaught(HYD, "A", at("2026-08-31T10:00"), List.of("L1"), false, ""));
        assertThat(starts(first, "L1")).containsExactly(at("2026-08-31T10:00"), at("2026-09-02T10:00"));
        assertThat(starts(first, "L2")).containsExactly(at("2026-09-04T10:00"));
        Decisions second = make(first, new RecordTaught(HYD, "A", at("2026-09-02T10:00"), List.of("L1"), false, ""));
        assertThat(second.courses().get(0).sections().get(0).lessonsWhere(OwnLesson::partly))
                .isEmpty();
    }

    @Test
    void whatIsDoneBeforeItsTimeIsSaidSo() {
        Decisions done = make(
                twoClasses(sectionA()),
                new RecordTaught(HYD, "A", at("2026-08-31T10:00"), List.of("L1"), false, true, ""));
        assertThat(starts(done, "L1")).containsExactly(at("2026-08-31T10:00"));
        assertThat(starts(done, "L2")).containsExactly(at("2026-09-02T10:00"));
    }

    /** Usual 50 minutes, classes of 75: L1 takes the first and 25 minutes of the second. */
    @Test
    void byMinutesWhatALessonHadCounts() {
        Decisions before = twoClasses(sectionB());
        Map<String, List<LocalDateTime>> planned =
                starts(Schedule.of(before).sections().get(0));
        Decisions after = make(before, new RecordTaught(HYD, "B", at("2026-09-01T13:00"), List.of("L1"), false, ""));
        Section section = after.courses().get(0).sections().get(0);
        assertThat(section.own("L1").minutesHad()).isEqualTo(75);
        assertThat(starts(Schedule.of(after).sections().get(0))).isEqualTo(planned);
    }

    @Test
    void whatWasHeldAsPlannedGetsARecordUpToADay() {
        RecordHeld held = new RecordHeld(HYD, null, null, day("2026-09-02"), null);
        Decisions after = make(twoClasses(sectionA()), held);
        assertThat(after.courses().get(0).sections().get(0).taught())
                .containsOnlyKeys(at("2026-08-31T10:00"), at("2026-09-02T10:00"));
        assertThat(held.sentence(twoClasses(sectionA())))
                .isEqualTo("Record 2 classes of A up to Wed 2 Sep as held as planned");
        assertThatThrownBy(() -> Change.make(held, after))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("every class with a lesson that is over has a record");
    }

    @Test
    void noClassThatIsStillToComeIsRecorded() {
        RecordHeld held = new RecordHeld(HYD, "A", null, day("2026-12-01"), null).at(at("2026-09-02T10:49"));
        Decisions after = make(twoClasses(sectionA()), held);
        assertThat(after.courses().get(0).sections().get(0).taught()).containsOnlyKeys(at("2026-08-31T10:00"));
    }

    /** The law of what is held as planned: recording it moves nothing, by sessions and by minutes, whatever the flags. */
    @Test
    void recordingWhatWasHeldMovesNothing() {
        int looked = 0;
        for (int seed = 0; seed < 1200; seed++) {
            Decisions plan = new RandomPlans(seed).plan();
            LocalDate until = plan.term().first().plusDays(new Random(seed).nextInt(47));
            Decisions after;
            try {
                after = make(plan, new RecordHeld(HYD, null, null, until, null));
            } catch (Refused e) {
                continue;
            }
            Schedule then = Schedule.of(after);
            for (SectionSchedule was : Schedule.of(plan).sections()) {
                if (was.placements().stream().anyMatch(p -> p.noSession())) {
                    continue; // what found no class before a fixed date finds one behind it once that is over
                }
                looked++;
                SectionSchedule is = then.section(HYD, was.section().code()).orElseThrow();
                assertThat(starts(is))
                        .as("seed %d, %s, up to %s", seed, was.section().code(), until)
                        .isEqualTo(starts(was));
            }
        }
        assertThat(looked).isGreaterThan(300);
    }
}
