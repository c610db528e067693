package app.matsuri.core.change.notice;

import static app.matsuri.core.Plans.at;
import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.NoSuch;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import org.junit.jupiter.api.Test;

/** A notice goes, and nothing else. */
class RemoveNoticeTest {

    private static Notice notice(String id) {
        return Notice.of(id, "Notice " + id, NoticeTime.once(false, DateRule.at(at("2026-09-10T09:00")), null));
    }

    private static final Decisions BEFORE = plan(sectionA(), unit(3))
            .withCourse("HYD 210", c -> c.withNotice(notice("N")).withNotice(notice("M")));

    @Test
    void oneGoesAndTheOthersStay() {
        RemoveNotice change = new RemoveNotice("HYD 210", "N");
        Decisions after = Change.make(change, BEFORE).decisions();
        assertThat(after.courses().get(0).besides().notices())
                .extracting(Notice::id)
                .containsExactly("M");
        assertThat(after.courses().get(0).units())
                .isEqualTo(BEFORE.courses().get(0).units());
        assertThat(change.sentence(BEFORE)).isEqualTo("Take out notice “Notice N”");
        assertThat(change.hands(BEFORE)).hasSize(1);
    }

    @Test
    void oneThatIsNotThereIsSaid() {
        assertThatThrownBy(() -> Change.make(new RemoveNotice("HYD 210", "X"), BEFORE))
                .isInstanceOf(NoSuch.class)
                .hasMessageContaining("X");
        assertThatThrownBy(() -> Change.make(new RemoveNotice("MAP 1", "N"), BEFORE))
                .isInstanceOf(NoSuch.class)
                .hasMessageContaining("MAP 1");
    }
}
