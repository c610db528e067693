package app.matsuri.core.findings;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.function.Consumer;

/** Work of a lesson that is due before the lesson begins; readings are meant to be. */
final class DueBeforeLesson implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        for (ItemDates dates : in.dates()) {
            String lesson = dates.item().lesson();
            LocalDateTime due = dates.at(Which.DUE);
            if (lesson == null || due == null || dates.item().kind().equals("reading")) {
                continue;
            }
            LocalDateTime start = in.start(lesson).orElse(null);
            if (start != null && due.isBefore(start)) {
                found.accept(new Finding(
                        "due-before-lesson",
                        Severity.WARNING,
                        Check.about(in, "item", dates.item().id()),
                        "“" + dates.item().title() + "” is due on "
                                + Say.moment(due) + ", before “"
                                + in.placement(lesson).lesson().title() + "” on "
                                + Say.day(start.toLocalDate()) + ".",
                        null));
            }
        }
    }
}
