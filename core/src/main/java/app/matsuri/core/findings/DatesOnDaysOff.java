package app.matsuri.core.findings;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.dates.PutDates;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.SectionSchedule;
import java.util.function.Consumer;

/** Due and closing dates that lie where nothing may be due. */
final class DatesOnDaysOff implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        for (ItemDates dates : in.dates()) {
            for (Which which : new Which[] {Which.DUE, Which.CLOSES}) {
                Resolved date = dates.get(which);
                DateRule rule = dates.rule(which);
                if (rule == null || date == null || !date.resolved() || !in.nothingDue(date.moment())) {
                    continue;
                }
                Item item = dates.item();
                DateRule rolled = rule.onDayOff(date.stuck() ? DateRule.OnDayOff.PREVIOUS : DateRule.OnDayOff.NEXT);
                String verb = which == Which.DUE ? " is due on " : " closes on ";
                found.accept(new Finding(
                        "due-on-day-off",
                        Severity.PROBLEM,
                        Check.about(in, which == Which.DUE ? "due" : "closes", item.id()),
                        "“" + item.title() + "”" + verb + Say.moment(date.moment()) + ", a day off on which nothing may"
                                + " be due" + (date.stuck() ? ", and the term has no later day for it." : "."),
                        item.locked() ? null : PutDates.mend(in, dates, which, rolled)));
            }
        }
    }
}
