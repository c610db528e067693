package app.matsuri.core.plan;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

/** A unit of another course dropped in whole: under free ids, with the dates that can come along. */
class UnitCopyTest {

    private static final DateRule WITH_L2 = DateRule.of(new Anchor.WithLesson("L2", Edge.START));

    @Test
    void takesFreeIdsAndWhatHangsTogether() {
        Item set = Item.of("set", "L2", "homework", "Set", WITH_L2)
                .withRule(
                        Which.CLOSES, DateRule.of(new Anchor.OwnDate(Which.DUE)).plus(2, Offset.Unit.DAYS));
        Item part = Item.of(
                "part", null, "reading", "Part", DateRule.of(new Anchor.InWeek(3, false, java.time.DayOfWeek.FRIDAY)));
        part = part.withDetails(part.details().within("set"));
        Notice span = Notice.of(
                "span", "Span", NoticeTime.once(true, DateRule.of(new Anchor.OfItem("set", Which.DUE)), null));
        Notice inUnit = new Notice(
                span.id(),
                "U",
                span.title(),
                "",
                "",
                List.of(),
                span.when(),
                java.util.Map.of(),
                Notice.Reach.COURSE,
                List.of(),
                List.of(),
                null,
                span.extra());
        Course from = Course.of("OLD", "Old", 50, List.of(), List.of(unit(3, set, part)))
                .withNotice(inUnit);
        Course to = Course.of(
                "NEW", "New", 50, List.of(sectionA()), List.of(unit(2, Item.of("set", null, "quiz", "Other", null))));
        UnitCopy copy = UnitCopy.of(from, from.units().get(0), to);
        assertThat(copy.unit().id()).isEqualTo("U-2");
        assertThat(copy.unit().lessons()).extracting(Lesson::id).containsExactly("L1-2", "L2-2", "L3");
        Item copied = copy.unit().items().get(0);
        assertThat(copied.id()).isEqualTo("set-2");
        assertThat(copied.lesson()).isEqualTo("L2-2");
        assertThat(copied.due().anchor()).isEqualTo(new Anchor.WithLesson("L2-2", Edge.START));
        assertThat(copied.closes().anchor()).isEqualTo(new Anchor.OwnDate(Which.DUE));
        assertThat(copy.unit().items().get(1).details().within()).isEqualTo("set-2");
        assertThat(copy.notices()).singleElement().satisfies(n -> {
            assertThat(n.unit()).isEqualTo("U-2");
            assertThat(n.when().begins().anchor()).isEqualTo(new Anchor.OfItem("set-2", Which.DUE));
        });
        assertThat(copy.undated()).isEmpty();
    }

    @Test
    void leavesDatesOfThatTimeBehindAndSaysWhose() {
        Item fixed = Item.of("a", null, "test", "Fixed", DateRule.at(at("2026-09-09T10:00")))
                .withRule(
                        Which.CLOSES, DateRule.of(new Anchor.OwnDate(Which.DUE)).plus(1, Offset.Unit.DAYS));
        Item elsewhere = Item.of("b", null, "quiz", "Elsewhere", DateRule.of(new Anchor.WithLesson("X9", Edge.START)));
        Unit unit = unit(1, fixed, elsewhere);
        Unit pinned = unit.withLessons(List.of(unit.lessons().get(0).withPin(day("2026-09-09"))));
        Course from = Course.of("OLD", "Old", 50, List.of(), List.of(pinned));
        UnitCopy copy = UnitCopy.of(from, pinned, Course.of("NEW", "New", 50, List.of(), List.of()));
        assertThat(copy.undated()).containsExactly("Fixed", "Elsewhere");
        assertThat(copy.unit().items()).allMatch(i -> i.due() == null && i.closes() == null);
        assertThat(copy.unit().lessons().get(0).pin()).isNull();
        assertThat(copy.unit().id()).isEqualTo("U");
    }
}
