package app.matsuri.core.change;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Extra;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.dates.Shift;
import app.matsuri.core.change.notice.PutNotice;
import app.matsuri.core.change.pace.Pin;
import app.matsuri.core.change.pace.SetLength;
import app.matsuri.core.change.plan.RemoveItem;
import app.matsuri.core.change.plan.SetDraft;
import app.matsuri.core.change.section.Tell;
import app.matsuri.core.findings.Finding;
import app.matsuri.core.findings.Findings;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.Telling;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.Untold;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What students were told stays as it was told, until they are told again. */
class TellTest {

    private static final String HYD = "HYD 210";
    private static final LocalDateTime NOW = at("2026-09-01T08:00");
    private static final Change FLOOD =
            new AddClosure(Closure.of(day("2026-09-09"), day("2026-09-09"), "Flood", "weather"));

    private final Item work =
            Item.of("W", "L4", "homework", "Log", DateRule.of(new Anchor.WithLesson("L4", Edge.START)));
    private final Decisions plan = plan(sectionA(), unit(6, work));

    private static Decisions make(Decisions before, Change change) {
        return Change.make(change, before).decisions();
    }

    private static Decisions seen(Decisions before, Change change) {
        Decisions after = make(before, change);
        return Untold.seen(Untold.altered(Schedule.of(before), Schedule.of(after)), after, NOW);
    }

    private static Tell tell(LocalDate upTo) {
        return new Tell(HYD, "A", upTo, "", NOW);
    }

    private static SectionSchedule a(Decisions decisions) {
        return Schedule.of(decisions).section(HYD, "A").orElseThrow();
    }

    private static List<String> differing(Decisions decisions) {
        return Untold.differing(a(decisions)).stream()
                .map(u -> u.name() + " " + u.told() + " > " + u.now())
                .toList();
    }

    private static Told told(Decisions decisions) {
        return a(decisions).section().told();
    }

    @Test
    void beforeTheFirstTellingNoChangeTellsAnything() {
        assertThat(told(seen(plan, FLOOD)).begun()).isFalse();
        assertThat(Proposal.of(plan, FLOOD, true).altered()).isZero();
    }

    @Test
    void tellingKeepsTheDatesAsTheyArePlanned() {
        Decisions told = make(plan, tell(null));
        assertThat(told(told).lessons())
                .containsEntry("L1", day("2026-08-31"))
                .containsEntry("L4", day("2026-09-09"))
                .hasSize(6);
        assertThat(told(told).work().get("W").dates()).isEqualTo(Map.of(Which.DUE, at("2026-09-09T10:00")));
        assertThat(told(told).tellings()).containsExactly(new Telling(NOW, "", List.of()));
        assertThat(differing(told)).isEmpty();
        assertThatThrownBy(() -> make(told, tell(null)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("nothing to tell");
    }

    @Test
    void aChangeThatStudentsDoNotSeeWaitsAndSaysSo() {
        Decisions kept = make(make(plan, tell(null)), FLOOD);
        assertThat(differing(kept))
                .containsExactly(
                        "Lesson 4 2026-09-09T00:00 > 2026-09-11T00:00",
                        "Lesson 5 2026-09-11T00:00 > 2026-09-14T00:00",
                        "Lesson 6 2026-09-14T00:00 > 2026-09-16T00:00",
                        "Log, due 2026-09-09T10:00 > 2026-09-11T10:00");
        Finding finding = Findings.of(Schedule.of(kept)).stream()
                .filter(f -> f.code().equals("told-otherwise"))
                .findFirst()
                .orElseThrow();
        assertThat(finding.sentence())
                .isEqualTo("4 dates of section A are not what students were told: Lesson 4; Lesson 5; Lesson 6,"
                        + " and 1 more.");
        assertThat(differing(make(kept, finding.mend()))).isEmpty();
    }

    @Test
    void aChangeThatStudentsSeeTellsWhatItAltersAndNothingThatWaits() {
        Decisions waiting = make(make(plan, tell(null)), new Pin(HYD, "A", "L6", day("2026-09-18")));
        Decisions seen = seen(waiting, FLOOD);
        assertThat(differing(seen)).containsExactly("Lesson 6 2026-09-14T00:00 > 2026-09-18T00:00");
        assertThat(told(seen).tellings())
                .last()
                .satisfies(t -> assertThat(t.moves())
                        .contains(new Telling.Move("due", "W", "Log", at("2026-09-09T10:00"), at("2026-09-11T10:00")))
                        .hasSize(3));
        Proposal proposal = Proposal.of(waiting, FLOOD, true);
        assertThat(proposal.altered()).isEqualTo(3);
        assertThat(proposal.after().term()).isEqualTo(seen.term());
    }

    @Test
    void datesBehindTheDayUpToWhichStudentsWereToldWait() {
        Decisions told = make(plan, tell(day("2026-09-09")));
        assertThat(told(told).lessons()).containsOnlyKeys("L1", "L2", "L3", "L4");
        assertThat(differing(told)).isEmpty();
        Decisions moved = seen(told, FLOOD);
        // what was told is told anew wherever it goes; what was not is still behind the day
        assertThat(told(moved).lessons()).containsEntry("L4", day("2026-09-11")).doesNotContainKey("L5");
        assertThat(differing(moved)).isEmpty();
        Decisions further = make(moved, tell(day("2026-09-14")));
        assertThat(told(further).lessons()).containsEntry("L5", day("2026-09-14"));
    }

    @Test
    void spareDaysAndDraftsAreNotTold() {
        Lesson spare =
                new Lesson("S", "Spare day", 1, 1, false, false, true, null, 0, "", LessonDetails.NONE, Extra.NONE);
        Item key = Item.of("K", "L1", "other", "Answer key", DateRule.at(at("2026-09-25T10:00")));
        Unit unit = Unit.of("U", "Unit", List.of(Lesson.of("L1", "Rain", 1), spare), List.of(key));
        Unit later = Unit.of("V", "Later", List.of(Lesson.of("L2", "Snow", 1)), List.of());
        Decisions drafts = make(
                make(plan(sectionA(), unit, later), new SetDraft(HYD, List.of("V"), List.of("K"), true)), tell(null));
        assertThat(told(drafts).lessons()).containsOnlyKeys("L1");
        assertThat(told(drafts).work()).isEmpty();
        assertThat(differing(drafts)).as("drafts are no differences").isEmpty();
        Change giveOut = new SetDraft(HYD, List.of("V"), List.of("K"), false);
        assertThat(Proposal.of(drafts, giveOut, true).altered()).isEqualTo(2);
        Told given = told(seen(drafts, giveOut));
        assertThat(given.lessons()).containsOnlyKeys("L1", "L2");
        assertThat(given.work()).containsOnlyKeys("K");
        Decisions taken = seen(seen(drafts, giveOut), new SetDraft(HYD, List.of("V"), List.of("K"), true));
        assertThat(told(taken)).as("what was told stays").isEqualTo(given);
        assertThat(new SetDraft(HYD, List.of("V"), List.of(), false).sentence(drafts))
                .isEqualTo("Give out “Later”");
        assertThat(new SetDraft(HYD, List.of("V"), List.of("K"), true).sentence(drafts))
                .isEqualTo("Make 2 things drafts");
    }

    @Test
    void whatStudentsSeeFromAMomentOnIsToldWithThatMoment() {
        Item hidden = Item.of("K", "L1", "other", "Answer key", DateRule.at(at("2026-09-25T10:00")))
                .withRules(Map.of(Which.OPENS, DateRule.at(at("2026-09-20T10:00"))));
        Item key = hidden.withDetails(new ItemDetails(
                null, "", "", "", List.of(), List.of(), List.of(), ItemDetails.ALL, List.of(), true, false));
        Decisions told = make(plan(sectionA(), unit(1, key)), tell(null));
        assertThat(told(told).work()).containsOnlyKeys("K");
        assertThat(differing(told)).isEmpty();
    }

    @Test
    void whatIsGoneIsTold() {
        Decisions without = make(make(plan, tell(null)), new RemoveItem(HYD, "W"));
        assertThat(differing(without)).containsExactly("Log, due 2026-09-09T10:00 > null");
        Decisions told = make(without, tell(null));
        assertThat(told(told).work()).isEmpty();
        assertThat(differing(told)).isEmpty();
    }

    @Test
    void noticesAreToldUnlessTheyAreForOneselfAlone() {
        NoticeTime day = NoticeTime.once(true, DateRule.at(at("2026-09-10T00:00")), null);
        Notice trip = Notice.of("trip", "Trip", day);
        Decisions with = make(plan, new PutNotice(HYD, trip));
        assertThat(told(make(with, tell(null))).work()).containsOnlyKeys("W", "notice:trip");
        Notice own = new Notice(
                "trip",
                null,
                "Trip",
                "",
                "",
                List.of(),
                day,
                Map.of(),
                Notice.Reach.OWN,
                List.of(),
                List.of(),
                null,
                trip.extra());
        assertThat(told(make(make(plan, new PutNotice(HYD, own)), tell(null))).work())
                .containsOnlyKeys("W");
    }

    @Test
    void aFileThatTellsLessonsAloneSaysNothingOfWork() {
        Decisions file = plan(
                sectionA().withTold(Told.of(Map.of("L1", day("2026-08-31"), "L2", day("2026-09-04")))), unit(2, work));
        assertThat(differing(file)).containsExactly("Lesson 2 2026-09-04T00:00 > 2026-09-02T00:00");
    }

    /** After any changes that students see, in any order, they know exactly what is planned. */
    @Test
    void whoSeesEveryChangeKnowsThePlan() {
        Random random = new Random(7);
        Decisions decisions = make(plan, tell(null));
        for (int n = 0; n < 60; n++) {
            String lesson = "L" + (1 + random.nextInt(6));
            Change change = switch (random.nextInt(4)) {
                case 0 -> new SetLength(HYD, "A", lesson, 1 + random.nextInt(3));
                case 1 -> new Pin(HYD, "A", lesson, day("2026-09-01").plusDays(random.nextInt(60)));
                case 2 -> new Pin(HYD, "A", lesson, null);
                default ->
                    new Shift(HYD, "A", List.of(lesson), null, List.of(), null, null, 1, Shift.In.SESSIONS, false);
            };
            try {
                decisions = seen(decisions, change);
            } catch (Refused refused) {
                continue;
            }
            assertThat(differing(decisions)).as("after " + change).isEmpty();
        }
    }
}
