package app.matsuri.core.schedule;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.day;
import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.sectionB;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.dates.PutDates;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Dated;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Which;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Work and notices side by side among dated things. */
class ThingDatesTest {

    private static final String HYD = "HYD 210";

    /** Work and a notice that have the same id. */
    private static final Decisions PLAN = plan();

    private static Decisions plan() {
        Item work = Item.of("walk", "L2", "reading", "Read of the walk", DateRule.at(at("2026-09-10T17:00")));
        Notice walk = Notice.of("walk", "Walk", NoticeTime.on(day("2026-09-11")));
        Course course = Course.of(
                HYD, "Hydrology", 44, List.of(sectionA(), sectionB()), List.of(unit(4).withItems(List.of(work))));
        return Decisions.of(demoTerm(), List.of(course.withNotice(walk)));
    }

    private static SectionSchedule section(Decisions plan, String code) {
        return Schedule.of(plan).section(HYD, code).orElseThrow();
    }

    @Test
    void workAndANoticeOfOneIdAreKeptApart() {
        Course course = PLAN.courses().get(0);
        assertThat(Dated.find(course, "walk")).map(Dated::title).contains("Read of the walk");
        assertThat(Dated.find(course, "notice:walk")).map(Dated::title).contains("Walk");
        assertThat(Dated.find(course, "notice:set")).isEmpty();
        assertThat(section(PLAN, "A").dated("walk").orElseThrow().at(Which.DUE)).isEqualTo(at("2026-09-10T17:00"));
        ThingDates span = section(PLAN, "A").dated("notice:walk").orElseThrow();
        assertThat(span.thing().kind()).isEqualTo(Notice.KIND);
        assertThat(span.at(Which.OPENS)).isEqualTo(at("2026-09-11T00:00"));
        assertThat(span.get(Which.DUE)).isNull();
        assertThat(span.get(Which.CLOSES)).as("nothing is said of its end").isNull();

        Decisions later = Change.make(
                        new PutDates(List.of(new PutDates.Entry(
                                HYD,
                                "notice:walk",
                                List.of("B"),
                                Map.of(Which.OPENS, Own.other(DateRule.at(at("2026-09-14T00:00"))))))),
                        PLAN)
                .decisions();
        assertThat(section(later, "B").dated("notice:walk").orElseThrow().at(Which.OPENS))
                .isEqualTo(at("2026-09-14T00:00"));
        assertThat(section(later, "A").dated("notice:walk").orElseThrow().at(Which.OPENS))
                .isEqualTo(at("2026-09-11T00:00"));
        assertThat(section(later, "B").dated("walk"))
                .isEqualTo(section(PLAN, "B").dated("walk"));
    }

    /** What is asked of both: the end of a notice follows a beginning that is tried beside it. */
    @Test
    void whatAnotherRuleWouldComeTo() {
        SectionSchedule a = section(PLAN, "A");
        ThingDates work = a.dated("walk").orElseThrow();
        Resolved due = work.would(a, Which.DUE, DateRule.at(at("2026-09-15T12:00")), Map.of());
        assertThat(due).isNotNull();
        assertThat(due.at()).isEqualTo(at("2026-09-15T12:00"));
        assertThat(work.would(a, Which.DUE, null, Map.of())).isNull();

        ThingDates walk = a.dated("notice:walk").orElseThrow();
        DateRule twoDaysOn = DateRule.of(new Anchor.OwnBeginning()).plus(2, Offset.Unit.DAYS);
        Resolved end = walk.would(
                a, Which.CLOSES, twoDaysOn, Map.of(Which.OPENS, Own.other(DateRule.at(at("2026-09-16T00:00")))));
        assertThat(end).isNotNull();
        assertThat(end.moment().toLocalDate()).isEqualTo(day("2026-09-18"));
        assertThat(walk.would(a, Which.CLOSES, null, Map.of())).isNull();
    }
}
