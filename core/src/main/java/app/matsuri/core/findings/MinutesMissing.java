package app.matsuri.core.findings;

import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.schedule.SectionSchedule;
import java.util.Locale;
import java.util.function.Consumer;

/** Minutes of class below what the course must have. */
final class MinutesMissing implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        Integer required = in.course().requiredMinutes();
        int minutes = in.sessions().minutes();
        if (required == null || minutes >= required || in.section().meets().isEmpty()) {
            return;
        }
        int missing = required - minutes;
        int length = in.section().meets().get(0).minutes();
        int classes = (missing + length - 1) / length;
        found.accept(new Finding(
                "minutes-missing",
                Severity.WARNING,
                Check.about(in, "section", in.section().code()),
                String.format(
                        Locale.ENGLISH,
                        "%s %s has %,d minutes of class of the %,d asked for: %,d short, %s.",
                        in.course().code(),
                        in.section().code(),
                        minutes,
                        required,
                        missing,
                        classes == 1 ? "one class" : classes + " classes"),
                null));
    }
}
