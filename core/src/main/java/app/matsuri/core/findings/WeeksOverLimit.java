package app.matsuri.core.findings;

import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.WeekLoad;
import java.util.Locale;
import java.util.function.Consumer;

/** Weeks with more work due than the course's limit. */
final class WeeksOverLimit implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        for (WeekLoad load : in.loads()) {
            if (load.over() > 0) {
                found.accept(new Finding(
                        "week-over-limit",
                        Severity.WARNING,
                        Check.about(in, "week", Integer.toString(load.week())),
                        String.format(
                                Locale.ENGLISH,
                                "Week %d has %.1f hours of work due, %.1f more than the limit.",
                                load.week(),
                                load.minutes() / 60.0,
                                load.over() / 60.0),
                        null));
            }
        }
    }
}
