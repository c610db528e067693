package app.matsuri.core.change;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.demoTerm;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.sectionB;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.change.plan.LeaveShared;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Schedule;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** What several courses have, taken out of one of them. */
class LeaveSharedTest {

    private static final String HYD = "HYD 210";
    private static final String MAP = "MAP 115";
    private static final String SOL = "SOL 101";

    /** Due with L4 of HYD 210, Wed 9 Sep 10:00 in A, and shared. */
    private static Item item(List<String> shared) {
        return Item.of("trip", "L4", "project", "Trip report", DateRule.of(new Anchor.WithLesson("L4", Edge.START)))
                .withDetails(ItemDetails.NONE.shared(shared));
    }

    private static Notice notice(Notice.Reach reach, List<String> shared) {
        return new Notice(
                "bus",
                null,
                "Bus at the gate",
                "",
                "",
                List.of(),
                NoticeTime.once(false, DateRule.of(new Anchor.WithLesson("L4", Edge.START)), null),
                Map.of(),
                reach,
                List.of(),
                shared,
                null,
                Extra.NONE);
    }

    private static Decisions plan(Item item, Notice notice) {
        Course hyd = Course.of(HYD, "Rivers", 50, List.of(sectionA(), sectionB()), List.of(unit(9, item)));
        return Decisions.of(
                demoTerm(),
                List.of(
                        hyd.withBesides(hyd.besides().withNotices(List.of(notice))),
                        Course.of(
                                MAP,
                                "Maps",
                                50,
                                List.of(sectionA()),
                                List.of(unit(9, Item.of("trip", null, "lab", "Own", null)))),
                        Course.of(SOL, "Soils", 50, List.of(sectionA()), List.of(unit(9)))));
    }

    private static Decisions make(Decisions before, @Nullable String item, @Nullable String notice, String leaves) {
        Change change = new LeaveShared(HYD, item, notice, leaves);
        assertThat(change.sentence(before)).endsWith("out of " + leaves + " alone");
        return Change.make(change, before).decisions();
    }

    private static Optional<LocalDateTime> due(Decisions plan, String course, String item) {
        return Schedule.of(plan).sections(course).stream()
                .flatMap(in -> Optional.ofNullable(in.byItem().get(item)).stream())
                .findFirst()
                .map(d -> d.get(Which.DUE).moment());
    }

    private static List<String> has(Decisions plan, String course) {
        return Schedule.of(plan).section(course, "A").orElseThrow().shared().stream()
                .map(s -> s.dates().item().id())
                .toList();
    }

    @Test
    void oneOfTheOthersNoLongerHasIt() {
        Decisions before = plan(item(List.of(MAP + "/A", SOL)), notice(Notice.Reach.COURSE, List.of(MAP)));
        Decisions after = make(before, "trip", null, MAP);
        assertThat(has(before, MAP)).containsExactly("trip");
        assertThat(has(after, MAP)).isEmpty();
        assertThat(has(after, SOL)).containsExactly("trip");
        assertThat(after.course(HYD).orElseThrow().item("trip")).isPresent();
    }

    @Test
    void whereItIsWrittenItPassesToTheFirstOfTheOthersOnItsDates() {
        Decisions after =
                make(plan(item(List.of(MAP, SOL)), notice(Notice.Reach.COURSE, List.of(MAP))), "trip", null, HYD);
        assertThat(after.course(HYD).orElseThrow().item("trip")).isEmpty();
        Course map = after.course(MAP).orElseThrow();
        assertThat(map.item("trip").orElseThrow().title()).isEqualTo("Own");
        Item moved = map.item("trip-2").orElseThrow();
        assertThat(moved.lesson()).isNull();
        assertThat(moved.details().shared()).containsExactly(SOL);
        assertThat(due(after, MAP, "trip-2")).contains(at("2026-09-09T10:00"));
        assertThat(has(after, SOL)).containsExactly("trip-2");
    }

    @Test
    void aNoticeLikewiseAlsoOneForEverybody() {
        Decisions shared = make(plan(item(List.of(MAP)), notice(Notice.Reach.COURSE, List.of(MAP))), null, "bus", HYD);
        Notice moved = shared.course(MAP).orElseThrow().notice("bus").orElseThrow();
        assertThat(moved.when().begins()).isEqualTo(DateRule.at(at("2026-09-09T10:00")));
        assertThat(moved.shared()).isEmpty();
        assertThat(shared.course(HYD).orElseThrow().notice("bus")).isEmpty();
        Decisions everybody =
                make(plan(item(List.of(MAP)), notice(Notice.Reach.EVERYONE, List.of())), null, "bus", MAP);
        Notice left = everybody.course(HYD).orElseThrow().notice("bus").orElseThrow();
        assertThat(left.reach()).isEqualTo(Notice.Reach.COURSE);
        assertThat(left.shared()).containsExactly(SOL);
    }

    @Test
    void whatCannotBeIsRefusedInASentence() {
        Decisions plan = plan(item(List.of(MAP)), notice(Notice.Reach.OWN, List.of()));
        assertThatThrownBy(() -> make(plan, "trip", null, SOL)).hasMessageContaining("is not shared with SOL 101");
        assertThatThrownBy(() -> make(plan, null, "bus", HYD)).hasMessageContaining("for yourself alone");
        Decisions alone = plan(item(List.of()), notice(Notice.Reach.COURSE, List.of()));
        assertThatThrownBy(() -> make(alone, "trip", null, HYD)).hasMessageContaining("remove it altogether");
        assertThatThrownBy(() -> make(alone, null, null, HYD)).hasMessageContaining("Say what leaves");
    }
}
