package app.matsuri.core.findings;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.dates.PutDates;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.function.Consumer;

/** Work due at the time of a class on a day on which the section does not meet: its rule counts days and says no time. */
final class DueOutsideClassTime implements Check {

    private static boolean atClassTime(DateRule rule) {
        return rule.anchor().named(Anchor.Sort.LESSON).isPresent()
                && rule.time() == null
                && rule.plus().n() != 0
                && !rule.plus().unit().ofClass();
    }

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        for (ItemDates dates : in.dates()) {
            DateRule rule = dates.rule(Which.DUE);
            LocalDateTime due = dates.at(Which.DUE);
            if (rule == null || due == null || !atClassTime(rule)) {
                continue;
            }
            int next = in.sessions().firstAfter(due.minusMinutes(1));
            boolean begins = next < in.sessions().size()
                    && in.sessions().get(next).start().equals(due);
            int last = in.sessions().lastBefore(due.plusMinutes(1));
            boolean ends = last >= 0 && in.sessions().get(last).end().equals(due);
            if (!begins && !ends) {
                found.accept(new Finding(
                        "due-when-not-meeting",
                        Severity.WARNING,
                        Check.about(in, "due", dates.item().id()),
                        "“" + dates.item().title() + "” is due at the time of a class, on " + Say.moment(due)
                                + ", when section " + in.section().code() + " does not meet.",
                        dates.item().locked()
                                ? null
                                : PutDates.mend(in, dates, Which.DUE, rule.at(LocalTime.of(23, 59)))));
            }
        }
    }
}
