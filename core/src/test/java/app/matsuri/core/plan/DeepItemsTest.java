package app.matsuri.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Things within things, as deep as they may lie, deeper, and in a circle. */
class DeepItemsTest {

    private static Unit chain(int count, boolean circle) {
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            String within = i > 0 ? "I" + (i - 1) : circle ? "I" + (count - 1) : null;
            Item item = Item.of("I" + i, null, "homework", "Item " + i, null);
            items.add(item.withDetails(item.details().within(within)));
        }
        return Unit.of("U", "U", List.of(), items);
    }

    @Test
    void whatIsAroundAnItemEndsAtTheDepthThatIsAllowed() {
        Unit unit = chain(2_000, false);
        assertThat(unit.around(unit.items().get(5))).extracting(Item::id).containsExactly("I4", "I3", "I2", "I1", "I0");
        assertThat(unit.around(unit.items().get(1_999))).hasSize(Unit.MOST_DEPTH);
        assertThat(unit.inside("I1990")).hasSize(10);
    }

    @Test
    void aCircleEndsWhereItCloses() {
        Unit unit = chain(3, true);
        assertThat(unit.around(unit.items().get(0))).extracting(Item::id).containsExactly("I2", "I1");
    }
}
