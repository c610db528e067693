package app.matsuri.core.change;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.RandomPlans;
import app.matsuri.core.change.plan.RemoveItem;
import app.matsuri.core.change.plan.RemoveLesson;
import app.matsuri.core.change.plan.RemoveUnit;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import java.lang.reflect.RecordComponent;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What is taken out of a plan is named nowhere any more, but in what students were told. */
class GoneTest {

    private static final String HYD = "HYD 210";

    /** Every text in a value, whatever records, maps and collections it lies in; what students were told is passed over. */
    private static void texts(Object value, Set<String> found) {
        if (value instanceof Told) {
            return;
        }
        if (value instanceof String text) {
            found.add(text);
        } else if (value instanceof Optional<?> one) {
            one.ifPresent(v -> texts(v, found));
        } else if (value instanceof Collection<?> all) {
            all.forEach(v -> texts(v, found));
        } else if (value instanceof Map<?, ?> map) {
            map.forEach((k, v) -> {
                texts(k, found);
                texts(v, found);
            });
        } else if (value instanceof Record) {
            for (RecordComponent part : value.getClass().getRecordComponents()) {
                try {
                    part.getAccessor().setAccessible(true);
                    texts(part.getAccessor().invoke(value), found);
                } catch (ReflectiveOperationException e) {
                    throw new AssertionError(e);
                }
            }
        }
    }

    private static Set<String> texts(Decisions plan) {
        Set<String> found = new LinkedHashSet<>();
        texts(plan, found);
        return found;
    }

    private static DateRule with(String lesson) {
        return DateRule.of(new Anchor.WithLesson(lesson, Edge.START));
    }

    @Test
    void aLessonTakenOutLeavesItsIdNowhere() {
        int taken = 0;
        for (int seed = 0; seed < 300; seed++) {
            Decisions plan = new RandomPlans(seed).plan();
            for (Lesson lesson : plan.courses().get(0).lessons()) {
                try {
                    Decisions after = Change.make(new RemoveLesson(HYD, lesson.id()), plan)
                            .decisions();
                    assertThat(texts(after)).as("seed %d", seed).doesNotContain(lesson.id());
                    taken++;
                } catch (Refused e) {
                    assertThat(e.getMessage()).contains("was taught");
                }
            }
        }
        assertThat(taken).isGreaterThan(800);
    }

    @Test
    void aUnitTakenOutLeavesNoIdOfWhatWasInItNowhere() {
        for (int seed = 0; seed < 300; seed++) {
            Decisions plan = new RandomPlans(seed).untaught().plan();
            for (Unit unit : plan.courses().get(0).units()) {
                Set<String> ids = new LinkedHashSet<>(Gone.lessons(unit));
                ids.addAll(Gone.items(unit));
                ids.add(unit.id());
                Decisions after =
                        Change.make(new RemoveUnit(HYD, unit.id()), plan).decisions();
                assertThat(texts(after)).as("seed %d", seed).doesNotContainAnyElementsOf(ids);
            }
        }
    }

    @Test
    void aPieceOfWorkTakenOutLeavesItsIdNowhere() {
        int taken = 0;
        for (int seed = 0; seed < 300; seed++) {
            Decisions plan = new RandomPlans(seed).plan();
            for (Item item : plan.courses().get(0).items()) {
                if (item.details().within() == null) {
                    Decisions after =
                            Change.make(new RemoveItem(HYD, item.id()), plan).decisions();
                    assertThat(texts(after)).as("seed %d", seed).doesNotContain(item.id());
                    taken++;
                }
            }
        }
        assertThat(taken).isGreaterThan(300);
    }

    @Test
    void aNoticeThatSpannedToWorkEndsWhereTheWorkStood() {
        Unit unit = Unit.of(
                "U",
                "Unit",
                List.of(Lesson.of("L1", "Rain", 1), Lesson.of("L2", "Floods", 1)),
                List.of(Item.of("I", "L2", "report", "Report", with("L2"))));
        DateRule due = DateRule.of(new Anchor.OfItem("I", Which.DUE));
        Decisions before = plan(sectionA(), unit)
                .withCourse(
                        HYD,
                        c -> c.withNotice(Notice.of("N", "Work on it", NoticeTime.once(false, with("L1"), due)))
                                .withNotice(Notice.of("S", "Sheet", NoticeTime.once(false, with("L1"), null))
                                        .hiddenUntil(due)));
        Change.Outcome after = Change.make(new RemoveItem(HYD, "I"), before);
        var course = after.decisions().courses().get(0);
        assertThat(course.notice("N").orElseThrow().when())
                .isEqualTo(NoticeTime.once(false, with("L1"), DateRule.at(at("2026-09-02T10:00"))));
        assertThat(course.notice("S").orElseThrow().hiddenUntil()).isEqualTo(DateRule.at(at("2026-09-02T10:00")));
        assertThat(after.notes())
                .containsExactly("2 things that hung on it are fixed where they stood: “Work on it”, “Sheet”.");
    }

    @Test
    void whatHungOnItIsFixedWhereItStoodAndSaysSo() {
        Unit unit = Unit.of(
                "U",
                "Unit",
                List.of(Lesson.of("L1", "Rain", 1), Lesson.of("L2", "Floods", 1)),
                List.of(Item.of("I", "L2", "quiz", "Quiz", with("L2"))));
        Section a = sectionA()
                .adjusted(new Adjustment(
                        "I",
                        "4101",
                        Map.of(Which.DUE, Own.other(with("L2").plus(1, app.matsuri.core.plan.Offset.Unit.DAYS))),
                        "ill"));
        Decisions before = plan(a, unit)
                .withCourse(HYD, c -> c.withNotice(Notice.of("N", "Boots", NoticeTime.once(false, with("L2"), null))));
        Change.Outcome after = Change.make(new RemoveLesson(HYD, "L2"), before);
        var course = after.decisions().courses().get(0);
        assertThat(course.item("I").orElseThrow().due()).isEqualTo(DateRule.at(at("2026-09-02T10:00")));
        assertThat(course.sections().get(0).adjustments().get(0).dates().get(Which.DUE))
                .isEqualTo(Own.other(DateRule.at(at("2026-09-03T10:00"))));
        assertThat(course.notice("N").orElseThrow().when().begins()).isEqualTo(DateRule.at(at("2026-09-02T10:00")));
        assertThat(after.notes())
                .containsExactly("2 things that hung on it are fixed where they stood: “Quiz”, “Boots”.");
    }

    @Test
    void whatStudentsWereToldOfItStaysUntilTheyAreToldOtherwise() {
        Section a = sectionA().withTold(Told.of(Map.of("L2", day("2026-09-02"))));
        Decisions after = Change.make(
                        new RemoveLesson(HYD, "L2"),
                        plan(
                                a,
                                Unit.of(
                                        "U",
                                        "Unit",
                                        List.of(Lesson.of("L1", "Rain", 1), Lesson.of("L2", "Floods", 1)),
                                        List.of())))
                .decisions();
        assertThat(after.courses().get(0).sections().get(0).told().lessons()).containsKey("L2");
    }
}
