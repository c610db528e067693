package app.matsuri.core.findings;

import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.schedule.HoursLedger;
import app.matsuri.core.schedule.SectionSchedule;
import java.util.Locale;
import java.util.function.Consumer;

/** Minutes of class below what the course must have. */
final class MinutesMissing implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        HoursLedger hours = HoursLedger.of(in);
        if (hours.missing() == 0) {
            return;
        }
        found.accept(new Finding(
                "minutes-missing",
                Severity.WARNING,
                Check.about(in, "section", in.section().code()),
                String.format(
                        Locale.ENGLISH,
                        "%s %s has %,d minutes of class of the %,d asked for: %,d short, %s.",
                        in.course().code(),
                        in.section().code(),
                        hours.minutes(),
                        hours.asked(),
                        hours.missing(),
                        hours.missingSessions() == 1 ? "one class" : hours.missingSessions() + " classes"),
                null));
    }
}
