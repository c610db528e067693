package app.matsuri.core.proposal;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.dates.Move;
import app.matsuri.core.change.pace.Pin;
import app.matsuri.core.change.plan.PutLesson;
import app.matsuri.core.findings.Finding;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What a change would do, in rows and in a sentence. */
class ProposalTest {

    private final Item hanging =
            Item.of("W", "L4", "homework", "Work", DateRule.of(new Anchor.WithLesson("L4", Edge.START)));
    private final Decisions plan = plan(sectionA(), unit(44, hanging));

    @Test
    void listsEverythingThatMovesWithWhy() {
        Proposal proposal =
                Proposal.of(plan, new AddClosure(Closure.of(day("2026-09-09"), day("2026-09-09"), "Flood", "weather")));
        assertThat(proposal.moves())
                .first()
                .isEqualTo(new Moved(
                        "HYD 210",
                        "A",
                        "lesson",
                        "L4",
                        "Lesson 4",
                        at("2026-09-09T10:00"),
                        at("2026-09-11T10:00"),
                        "day off: Flood",
                        false));
        assertThat(proposal.moves())
                .filteredOn(m -> m.what().equals("due"))
                .singleElement()
                .satisfies(m -> {
                    assertThat(m.to()).isEqualTo(at("2026-09-11T10:00"));
                    assertThat(m.why()).startsWith("hangs on “Lesson 4”");
                });
        assertThat(proposal.sentence())
                .isEqualTo("Day off Wed 9 Sep, Flood: 40 lessons move, 1 due date changes, 1 lesson finds no class;"
                        + " 1 finding appears.");
        assertThat(proposal.appear()).extracting(Finding::code).containsExactly("lesson-without-session");
        assertThat(proposal.quiet()).isFalse();
    }

    @Test
    void isQuietWhenOnlyWhatTheHandMovedMoves() {
        Proposal dropped = Proposal.of(
                plan, Move.seenIn("HYD 210", "A", List.of(), List.of("W"), day("2026-09-17"), "last", false, false));
        assertThat(dropped.moves()).hasSize(1);
        assertThat(dropped.quiet()).isTrue();
        Proposal renamed = Proposal.of(plan, new PutLesson("HYD 210", null, Lesson.of("L3", "Other", 1), null));
        assertThat(renamed.quiet()).isTrue();
        assertThat(renamed.sentence()).endsWith(": nothing moves.");
    }

    @Test
    void isNotQuietWhenOtherThingsMoveOrAProblemAppears() {
        assertThat(Proposal.of(plan, new Pin("HYD 210", "A", "L3", day("2026-09-14")))
                        .quiet())
                .isFalse();
        Item closes = hanging.withRule(app.matsuri.core.plan.Which.CLOSES, DateRule.at(at("2026-09-10T12:00")));
        Decisions withClose = plan(
                sectionA(),
                unit(
                        10,
                        closes.withRule(
                                app.matsuri.core.plan.Which.CLOSES,
                                DateRule.of(new Anchor.WithLesson("L5", Edge.START)))));
        Proposal late = Proposal.of(
                withClose,
                Move.seenIn("HYD 210", "A", List.of(), List.of("W"), day("2026-09-15"), "last", false, false));
        assertThat(late.appear()).extracting(Finding::code).containsExactly("dates-out-of-order");
        assertThat(late.quiet()).isFalse();
    }
}
