package app.matsuri.core.findings;

import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.NoticeDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.SectionSchedule;
import java.util.Locale;
import java.util.function.Consumer;

/** Date rules that give no date. */
final class UnresolvedDates implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        for (ItemDates dates : in.dates()) {
            for (Which which : Which.values()) {
                Resolved date = dates.get(which);
                if (date != null && !date.resolved()) {
                    found.accept(new Finding(
                            "unresolved-rule",
                            Severity.PROBLEM,
                            Check.about(
                                    in,
                                    which.name().toLowerCase(Locale.ROOT),
                                    dates.item().id()),
                            "“" + dates.item().title() + "” has no date “"
                                    + which.name().toLowerCase(Locale.ROOT) + "”: " + date.why() + ".",
                            null));
                }
            }
        }
        for (NoticeDates notice : in.notices()) {
            notice.entries().stream()
                    .filter(e -> !e.resolved() && notice.own(in))
                    .forEach(e -> found.accept(new Finding(
                            "unresolved-rule",
                            Severity.PROBLEM,
                            Check.about(in, "notice", notice.notice().id()),
                            "Notice “" + notice.notice().title() + "” has no date: " + e.why() + ".",
                            null)));
        }
    }
}
