package app.matsuri.core.repace;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.Plans;
import app.matsuri.core.RandomPlans;
import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.pace.HeldAsPlanned;
import app.matsuri.core.change.pace.RecordHeld;
import app.matsuri.core.change.pace.RecordTaught;
import app.matsuri.core.findings.Findings;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Weights.Cost;
import app.matsuri.core.proposal.Moved;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Repairs in a term that has begun, with and without records: the past does not move. */
class BegunTermTest {

    private static final String HYD = "HYD 210";
    private static final LocalDate TODAY = day("2026-10-07");

    private static SectionSchedule follows(Decisions plan) {
        return Schedule.of(plan).sections().get(0);
    }

    private static Lesson lesson(String id, int length, int least, boolean optional) {
        return new Lesson(id, id, length, least, optional, false, false, null, 0, "", LessonDetails.NONE, Extra.NONE);
    }

    private static Decisions plan(Section section, List<Lesson> lessons, Item... items) {
        Unit unit = Unit.of("U", "Unit", lessons, List.of(items));
        return Decisions.of(demoTerm(), List.of(Course.of(HYD, "Reading Rivers", 50, List.of(section), List.of(unit))));
    }

    private static Item quiz(String lesson) {
        return Item.of("Q" + lesson, lesson, "quiz", "Quiz", DateRule.of(new Anchor.WithLesson(lesson, Edge.START)));
    }

    @Test
    void notReachedInATermWithoutRecordsLeavesEarlierClassesAlone() {
        Decisions plan = Plans.plan(sectionA(), unit(40));
        Change notReached = new RecordTaught(HYD, "A", at("2026-10-02T10:00"), List.of(), false, "");
        Proposal proposal = Proposal.of(Proposal.Before.of(plan, TODAY), notReached, false, true);
        assertThat(proposal.moves())
                .filteredOn(m -> m.what().equals("lesson"))
                .extracting(Moved::from)
                .allMatch(from -> !from.isBefore(at("2026-10-02T10:00")));
        assertThat(proposal.held().sentence()).isEqualTo("13 classes of A up to Wed 30 Sep count as held as planned");
        assertThat(proposal.after().courses().get(0).sections().get(0).taught()).hasSize(14);
        Proposal open = Proposal.of(Proposal.Before.of(plan, TODAY), notReached, false, false);
        assertThat(open.held().isEmpty()).isTrue();
        assertThat(open.moves().size())
                .as("unticked, they are left open")
                .isGreaterThan(proposal.moves().size());
    }

    @Test
    void whatLiesBeforeTodayStaysWhateverIsRepaired() {
        for (int seed = 0; seed < 200; seed++) {
            Decisions plan = new RandomPlans(seed).untaught().plan();
            Random random = new Random(seed);
            LocalDate today = plan.term().first().plusDays(random.nextInt(47));
            SectionSchedule before = Schedule.of(plan).sections().get(random.nextInt(2));
            if (before.placements().stream().anyMatch(p -> p.noSession())
                    || before.sessions().size() == 0) {
                continue;
            }
            Decisions held = HeldAsPlanned.before(before, today.atStartOfDay()).in(plan);
            SectionSchedule now =
                    Schedule.of(held).section(HYD, before.section().code()).orElseThrow();
            Way tidy = Ways.tidy(now, today.atStartOfDay());
            LocalDateTime cut = today.atStartOfDay();
            Map<String, List<LocalDateTime>> was = new LinkedHashMap<>();
            Map<String, List<LocalDateTime>> is = new LinkedHashMap<>();
            before.placements()
                    .forEach(p -> was.put(
                            p.lesson().id(),
                            p.slots().stream()
                                    .map(s -> before.sessions().get(s.session()).start())
                                    .filter(start -> start.isBefore(cut))
                                    .toList()));
            tidy.dates()
                    .forEach((lesson, starts) -> is.put(
                            lesson,
                            starts.stream().filter(start -> start.isBefore(cut)).toList()));
            assertThat(is)
                    .as("seed %d, %s on %s", seed, before.section().code(), today)
                    .isEqualTo(was);
        }
    }

    @Test
    void threeClassesWithoutARecordAreARemarkWithItsMend() {
        Decisions plan = Plans.plan(sectionA(), unit(40));
        assertThat(Findings.of(Schedule.of(plan))).noneMatch(f -> f.code().equals("classes-without-record"));
        var found = Findings.of(Schedule.of(plan), day("2026-09-05")).stream()
                .filter(f -> f.code().equals("classes-without-record"))
                .findFirst()
                .orElseThrow();
        assertThat(found.sentence()).isEqualTo("3 classes of HYD 210 A are over without a record of what was taught.");
        Decisions mended = Change.make(found.mend(), plan).decisions();
        assertThat(Findings.of(Schedule.of(mended), day("2026-09-05")))
                .noneMatch(f -> f.code().equals("classes-without-record"));
    }

    /** The autumn break ends on 13 October: the next class of A is on the 14th. */
    @Test
    void aTestAfterABreakCostsAlsoWhenAllBeforeIsTaughtOrTheClassIsTheFirstOfTheStretch() {
        List<Lesson> lessons = new ArrayList<>();
        for (int i = 1; i <= 30; i++) {
            lessons.add(lesson("L" + i, 1, 1, false));
        }
        Decisions plan = plan(sectionA(), lessons, quiz("L18"));
        assertThat(follows(plan).start("L18")).contains(at("2026-10-14T10:00"));
        Decisions taught = Change.make(new RecordHeld(HYD, "A", null, day("2026-10-09"), null), plan)
                .decisions();
        assertThat(Ways.slide(follows(plan)).costs()).containsEntry(Cost.TEST_AFTER_BREAK, 10);
        assertThat(Ways.slide(follows(taught)).costs()).containsEntry(Cost.TEST_AFTER_BREAK, 10);
        Section held = taught.courses().get(0).sections().get(0).withHoldsEmpty(Set.of(at("2026-10-14T10:00")));
        SectionSchedule in = follows(taught.withCourse(HYD, c -> c.withSection(held)));
        assertThat(in.start("L18")).contains(at("2026-10-16T10:00"));
        assertThat(Ways.slide(in).costs())
                .as("a class held empty is the first one")
                .doesNotContainKey(Cost.TEST_AFTER_BREAK);
    }

    @Test
    void whatIsLeftOfAPartlyTaughtLessonIsShortenedOrDroppedAsItsFlagsSay() {
        Section a = sectionA().withTaught(Map.of(at("2026-08-31T10:00"), List.of("L1")), Set.of("L1"));
        Map<String, List<Lesson>> cases = Map.of(
                "had its least, dropped", List.of(lesson("L1", 3, 1, false), lesson("L2", 1, 1, false)),
                "its least asks for one more", List.of(lesson("L1", 3, 2, false), lesson("L2", 1, 1, false)),
                "optional, dropped", List.of(lesson("L1", 3, 3, true), lesson("L2", 1, 1, false)),
                "must go on whole", List.of(lesson("L1", 3, 3, false), lesson("L2", 1, 1, false)));
        Map<String, Integer> shortened = Map.of(
                "had its least, dropped", 40,
                "its least asks for one more", 20,
                "optional, dropped", 40,
                "must go on whole", 0);
        cases.forEach((name, lessons) -> {
            // L2 is fixed on the next class, so that nothing of L1 has room but what the flags let go
            LocalDate pin = name.contains("more") ? day("2026-09-04") : day("2026-09-02");
            Section pinned = a.withPin("L2", Own.other(pin));
            Way tidy = Ways.tidy(follows(plan(pinned, lessons)));
            assertThat(tidy.costs().getOrDefault(Cost.SHORTEN, 0)).as(name).isEqualTo(shortened.get(name));
            assertThat(tidy.costs().containsKey(Cost.NO_ROOM)).as(name).isEqualTo(name.startsWith("must"));
        });
    }

    /** A guest is fixed on a day in a week of snow, and an examination stands in it. */
    @Test
    void noWayChosenBeforehandLeavesOutWhatIsFixedOrHoldsATest() {
        List<Lesson> lessons = new ArrayList<>();
        for (int i = 1; i <= 44; i++) {
            lessons.add(lesson("L" + i, 1, 1, i % 5 == 0));
        }
        Section section = sectionA().withPin("L19", Own.other(day("2026-10-16")));
        Decisions plan = plan(section, lessons, quiz("L18"));
        Decisions after = Change.make(
                        new AddClosure(Closure.of(day("2026-10-14"), day("2026-10-20"), "Snow", "weather")), plan)
                .decisions();
        List<Way> ways = Ways.out(follows(plan), follows(after), day("2026-10-26"), null);
        assertThat(Ways.beforehand(ways).drops()).isEmpty();
        for (Way way : ways) {
            boolean leaves = way.steps() != null
                    && way.steps().stream().anyMatch(s -> s.sentence().matches("Leave out “L1[89]”"));
            if (leaves) {
                assertThat(way.sentence()).containsAnyOf("“L18”", "“L19”");
            }
            assertThat(way.name().equals("leave-it-out") && leaves).isFalse();
        }
    }

    @Test
    void leaveItOutIsOnlyOfferedWhereALostClassHeldALessonThatMayGo() {
        Decisions plan = plan(sectionA(), List.of(lesson("L1", 1, 1, false), lesson("L2", 1, 1, false)), quiz("L1"));
        Decisions after = Change.make(
                        new AddClosure(Closure.of(day("2026-08-31"), day("2026-08-31"), "Flood", "weather")), plan)
                .decisions();
        assertThat(Ways.out(follows(plan), follows(after), null, null))
                .extracting(Way::name)
                .doesNotContain("leave-it-out");
    }
}
