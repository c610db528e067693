package app.matsuri.core.change;

import static app.matsuri.core.Plans.plan;
import static app.matsuri.core.Plans.sectionA;
import static app.matsuri.core.Plans.unit;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.change.plan.SetWeights;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Weights;
import app.matsuri.core.plan.Weights.Cost;
import app.matsuri.core.proposal.Proposal;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Other costs for a course, and what is odd about them. */
class SetWeightsTest {

    private static SetWeights set(Map<Cost, Integer> costs) {
        return new SetWeights("HYD 210", new Weights(costs));
    }

    @Test
    void plainOnesAreTakenAtOnceAndOddOnesAreSaidFirst() {
        Decisions plan = plan(sectionA(), unit(3));
        Proposal plain = Proposal.of(plan, set(Map.of(Cost.LEAVE_OUT, 12)));
        assertThat(plain.quiet()).isTrue();
        assertThat(plain.after().courses().get(0).besides().weights().of(Cost.LEAVE_OUT))
                .isEqualTo(12);
        Proposal odd = Proposal.of(plan, set(Map.of(Cost.NO_ROOM, 5, Cost.TOLD_TEST, 1, Cost.JOIN, 0)));
        assertThat(odd.quiet()).isFalse();
        assertThat(odd.notes())
                .hasSize(3)
                .anyMatch(n -> n.startsWith("A class that finds no room costs no more"))
                .anyMatch(n -> n.contains("tests would be moved first"))
                .anyMatch(n -> n.startsWith("It costs nothing: a lesson joined to the one before."));
    }

    @Test
    void theUsualOnesAreInNoDoubt() {
        assertThat(Weights.USUAL.doubts()).isEmpty();
        Decisions plan = plan(sectionA(), unit(3));
        assertThatThrownBy(() -> Change.make(set(Map.of()), plan))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("These are the costs");
    }
}
