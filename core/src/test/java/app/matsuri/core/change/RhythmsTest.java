package app.matsuri.core.change;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.change.notice.PutRhythm;
import app.matsuri.core.change.notice.RemoveRhythm;
import app.matsuri.core.change.plan.PutItem;
import app.matsuri.core.change.plan.RemoveItem;
import app.matsuri.core.change.section.PutSection;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Rhythms: numbered work tied to classes, which follows later edits unless a hand was at it. */
class RhythmsTest {

    private static final String HYD = "HYD 210";

    /**
     * The rhythm of domain.md's words: video opens 7 days before, quiz opens at the end of the class and closes 5 days
     * later at 17:00, a reminder 1 hour before that. Here with each second Friday, four times.
     */
    private static Rhythm labs(int every, int minutes) {
        DateRule start = DateRule.of(new Anchor.InRhythm("lab", 0, Edge.START));
        DateRule end = DateRule.of(new Anchor.InRhythm("lab", 0, Edge.END));
        Item video = part("video", "reading", "Video", start.plus(-7, Offset.Unit.DAYS), null);
        Item quiz = part(
                "quiz", "quiz", "Quiz {n}", end, end.plus(5, Offset.Unit.DAYS).at(LocalTime.of(17, 0)));
        return new Rhythm(
                "lab",
                "Labs",
                "U",
                Set.of(DayOfWeek.FRIDAY),
                "",
                every,
                1,
                4,
                Map.of(),
                List.of(
                        new Rhythm.Part("video", video, null),
                        new Rhythm.Part(
                                "quiz",
                                new Item(
                                        "quiz",
                                        null,
                                        "quiz",
                                        "Quiz {n}",
                                        "",
                                        null,
                                        minutes,
                                        "machine",
                                        false,
                                        0,
                                        quiz.opens(),
                                        null,
                                        quiz.closes(),
                                        ItemDetails.NONE,
                                        Extra.NONE),
                                new Offset(1, Offset.Unit.HOURS))),
                Extra.NONE);
    }

    private static Item part(String id, String kind, String title, DateRule opens, DateRule closes) {
        return new Item(
                id, null, kind, title, "", null, null, "", false, 0, opens, null, closes, ItemDetails.NONE, Extra.NONE);
    }

    private static Decisions make(Decisions before, Change change) {
        assertThat(change.sentence(before)).isNotBlank();
        return Change.make(change, before).decisions();
    }

    private static SectionSchedule a(Decisions plan) {
        return Schedule.of(plan).section(HYD, "A").orElseThrow();
    }

    @Test
    void itYieldsNumberedWorkWithItsDatesAndReminders() {
        SectionSchedule a = a(make(plan(sectionA(), unit(9)), new PutRhythm(HYD, labs(2, 20))));
        assertThat(a.dates())
                .extracting(d -> d.item().title())
                .containsExactly("Video 1", "Quiz 1", "Video 2", "Quiz 2", "Video 3", "Quiz 3", "Video 4", "Quiz 4");
        // Fridays 4, 18 September, 2, 16 October
        ItemDates second = a.byItem().get("lab-quiz-2");
        assertThat(second.opens().at()).isEqualTo(at("2026-09-18T10:50"));
        assertThat(second.closes().at()).isEqualTo(at("2026-09-23T17:00"));
        assertThat(a.byItem().get("lab-video-2").opens().at()).isEqualTo(at("2026-09-11T10:00"));
        assertThat(a.notice(HYD, "lab-quiz-2-reminder").orElseThrow().entries())
                .singleElement()
                .satisfies(e -> assertThat(e.begins()).isEqualTo(at("2026-09-23T16:00")));
    }

    @Test
    void laterEditsAreFollowedUnlessAHandWasAtIt() {
        Decisions first = make(plan(sectionA(), unit(9)), new PutRhythm(HYD, labs(2, 20)));
        Item mine = first.courses()
                .get(0)
                .item("lab-quiz-3")
                .orElseThrow()
                .withRule(app.matsuri.core.plan.Which.CLOSES, DateRule.at(at("2026-10-09T12:00")));
        Decisions edited = make(first, new PutItem(HYD, null, mine));
        Decisions without = make(edited, new RemoveItem(HYD, "lab-video-4"));
        Change.Outcome outcome = Change.make(new PutRhythm(HYD, labs(1, 30)), without);
        SectionSchedule a = a(outcome.decisions());
        assertThat(a.byItem().get("lab-quiz-2").opens().at())
                .as("each Friday now")
                .isEqualTo(at("2026-09-11T10:50"));
        assertThat(a.byItem().get("lab-quiz-2").item().minutes()).isEqualTo(30);
        assertThat(a.byItem().get("lab-quiz-3").closes().at()).isEqualTo(at("2026-10-09T12:00"));
        assertThat(a.byItem().get("lab-quiz-3").opens().at())
                .as("what no hand changed")
                .isEqualTo(at("2026-09-18T10:50"));
        assertThat(a.byItem().get("lab-quiz-3").item().minutes()).isEqualTo(30);
        assertThat(a.byItem()).doesNotContainKey("lab-video-4");
        assertThat(outcome.notes()).singleElement().asString().contains("Quiz 3");
    }

    @Test
    void takenOutItLeavesOnlyWhatAHandWasAt() {
        Decisions first = make(plan(sectionA(), unit(9)), new PutRhythm(HYD, labs(2, 20)));
        Item mine = first.courses().get(0).item("lab-quiz-1").orElseThrow();
        Decisions edited = make(first, new PutItem(HYD, null, mine.withRule(app.matsuri.core.plan.Which.OPENS, null)));
        Decisions out = make(edited, new RemoveRhythm(HYD, "lab"));
        assertThat(out.courses().get(0).items()).extracting(Item::id).containsExactly("lab-quiz-1");
        assertThat(out.courses().get(0).besides().notices())
                .extracting(Notice::id)
                .isEmpty();
    }

    @Test
    void wordsInTitlesChooseTheClasses() {
        Rhythm lessons = new Rhythm(
                "r",
                "R",
                "U",
                Set.of(),
                "lesson 3",
                1,
                1,
                0,
                Map.of(),
                labs(1, 5).parts().subList(0, 1),
                Extra.NONE);
        Rhythm own =
                new Rhythm("lab", "R", "U", Set.of(), lessons.words(), 1, 1, 0, Map.of(), lessons.parts(), Extra.NONE);
        SectionSchedule a = a(make(plan(sectionA(), unit(9)), new PutRhythm(HYD, own)));
        assertThat(a.dates())
                .singleElement()
                .satisfies(d -> assertThat(d.opens().at()).isEqualTo(at("2026-08-28T10:00")));
        Rhythm none =
                new Rhythm("q", "Q", "U", Set.of(DayOfWeek.SUNDAY), "", 1, 1, 0, Map.of(), own.parts(), Extra.NONE);
        assertThatThrownBy(() -> make(plan(sectionA(), unit(9)), new PutRhythm(HYD, none)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("finds no class");
    }

    @Test
    void withoutAnEndItComesAsOftenAsThereAreClasses() {
        Rhythm each = new Rhythm(
                "lab",
                "R",
                "U",
                Set.of(),
                "",
                1,
                1,
                0,
                Map.of(),
                labs(1, 5).parts().subList(0, 1),
                Extra.NONE);
        Decisions all = make(plan(sectionA(), unit(3)), new PutRhythm(HYD, each));
        assertThat(a(all).dates()).hasSize(44);
        assertThat(IntStream.rangeClosed(1, 44).mapToObj(n -> "lab-video-" + n))
                .allMatch(id -> a(all).byItem().containsKey(id));
        assertThat(demoTerm().closures()).hasSize(3);
    }

    /** A meets on Fridays, B on Tuesdays and Thursdays: what comes with Fridays is for A alone. */
    @Test
    void itIsForTheSectionsThatHaveSuchAClass() {
        Decisions two = Decisions.of(
                demoTerm(),
                List.of(app.matsuri.core.plan.Course.of(
                        HYD, "Rivers", 50, List.of(sectionA(), app.matsuri.core.Plans.sectionB()), List.of(unit(9)))));
        Decisions with = make(two, new PutRhythm(HYD, labs(1, 5)));
        assertThat(with.courses()
                        .get(0)
                        .item("lab-quiz-1")
                        .orElseThrow()
                        .details()
                        .only())
                .containsExactly("A");
        assertThat(Schedule.of(with).section(HYD, "B").orElseThrow().dates()).isEmpty();
        Decisions renamed = make(
                with,
                new PutSection(
                        HYD,
                        "A",
                        app.matsuri.core.plan.Section.of(
                                "C", sectionA().pace(), sectionA().meets())));
        Decisions again = make(renamed, new PutRhythm(HYD, labs(1, 6)));
        assertThat(again.courses().get(0).items())
                .hasSize(8)
                .allMatch(i -> i.details().only().equals(List.of("C")));
    }
}
