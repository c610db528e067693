package app.matsuri.core.findings;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.plan.PutItem;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.SectionSchedule;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/** Items that do not open before they are due, or are not due before they close. */
final class DatesOutOfOrder implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        for (ItemDates dates : in.dates()) {
            Item item = dates.item();
            boolean wrong = later(dates.opens(), dates.due())
                    || later(dates.due(), dates.closes())
                    || dates.due() == null && later(dates.opens(), dates.closes());
            if (!wrong) {
                continue;
            }
            boolean closing = later(dates.due(), dates.closes());
            DateRule withDue = DateRule.of(new Anchor.OwnDate(Which.DUE));
            Item mended = closing ? item.withRule(Which.CLOSES, withDue) : null;
            found.accept(new Finding(
                    "dates-out-of-order",
                    Severity.PROBLEM,
                    Check.about(in, "item", item.id()),
                    "“" + item.title() + "” should open, be due and close in this order: "
                            + said("opens", dates.opens()) + said("due", dates.due())
                            + said("closes", dates.closes()).trim().replaceAll(",$", "") + ".",
                    mended == null ? null : new PutItem(in.course().code(), null, mended)));
        }
    }

    private static boolean later(@Nullable Resolved first, @Nullable Resolved second) {
        return first != null
                && second != null
                && first.resolved()
                && second.resolved()
                && first.moment().isAfter(second.moment());
    }

    private static String said(String word, @Nullable Resolved date) {
        return date == null || !date.resolved() ? "" : word + " " + Say.moment(date.moment()) + ", ";
    }
}
