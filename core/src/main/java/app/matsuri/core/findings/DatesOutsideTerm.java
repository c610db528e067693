package app.matsuri.core.findings;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.SectionSchedule;
import java.util.function.Consumer;

/** Due dates before the term's first day or after its last. */
final class DatesOutsideTerm implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        for (ItemDates dates : in.dates()) {
            Resolved due = dates.due();
            if (due != null
                    && due.resolved()
                    && !in.calendar().term().contains(due.at().toLocalDate())) {
                found.accept(new Finding(
                        "due-outside-term",
                        Severity.WARNING,
                        Check.about(in, "item", dates.item().id()),
                        "“" + dates.item().title() + "” is due on " + Say.moment(due.at()) + ", outside the term.",
                        null));
            }
        }
    }
}
