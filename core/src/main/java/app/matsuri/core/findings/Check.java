package app.matsuri.core.findings;

import app.matsuri.core.schedule.SectionSchedule;
import java.util.function.Consumer;

/** Looks for one kind of finding in one section. */
@FunctionalInterface
interface Check {

    void look(SectionSchedule in, Consumer<Finding> found);

    /** What a finding of the section is about. */
    static Finding.About about(SectionSchedule in, String what, String id) {
        return new Finding.About(what, in.course().code(), in.section().code(), id);
    }
}
