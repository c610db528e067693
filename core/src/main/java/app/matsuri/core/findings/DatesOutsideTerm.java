package app.matsuri.core.findings;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.function.Consumer;

/** Due dates before the term's first day or after its last. */
final class DatesOutsideTerm implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        for (ItemDates dates : in.dates()) {
            LocalDateTime due = dates.at(Which.DUE);
            if (due != null && !in.calendar().term().contains(due.toLocalDate())) {
                found.accept(new Finding(
                        "due-outside-term",
                        Severity.WARNING,
                        Check.about(in, "item", dates.item().id()),
                        "“" + dates.item().title() + "” is due on " + Say.moment(due) + ", outside the term.",
                        null));
            }
        }
    }
}
