package app.matsuri.core.findings;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.pace.RecordHeld;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.util.function.Consumer;

/** Three or more classes with a lesson that lie before today and have no record. */
final class ClassesWithoutRecord {

    private static final int MANY = 3;

    private ClassesWithoutRecord() {}

    static void look(SectionSchedule in, LocalDate today, Consumer<Finding> found) {
        RecordHeld held =
                new RecordHeld(in.course().code(), in.section().code(), null, today.minusDays(1), today.atStartOfDay());
        int classes = held.classes(in).size();
        if (classes >= MANY) {
            found.accept(new Finding(
                    "classes-without-record",
                    Severity.REMARK,
                    Check.about(in, "section", in.section().code()),
                    Say.classes(classes) + " of " + in.course().code() + " "
                            + in.section().code() + " are over without a record of what was taught.",
                    held));
        }
    }
}
