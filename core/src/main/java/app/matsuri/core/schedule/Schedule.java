package app.matsuri.core.schedule;

import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.plan.Section;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Everything that follows from the decisions about a term: computed, never stored.
 *
 * @param officeHours as decided: their slots are worked out where they are asked for
 */
public record Schedule(TeachingCalendar calendar, List<SectionSchedule> sections, List<OfficeHours> officeHours) {

    /** What follows from the decisions. Pure; linear in what was decided. */
    public static Schedule of(Decisions decisions) {
        TeachingCalendar calendar = TeachingCalendar.of(decisions.term());
        List<SectionSchedule> sections = new ArrayList<>();
        for (Course course : decisions.courses()) {
            for (Section section : course.sections()) {
                sections.add(SectionSchedule.of(calendar, course, section));
            }
        }
        return new Schedule(calendar, List.copyOf(Noticing.in(sections)), decisions.officeHours());
    }

    public Optional<SectionSchedule> section(String course, String section) {
        return sections.stream()
                .filter(s ->
                        s.course().code().equals(course) && s.section().code().equals(section))
                .findFirst();
    }

    /** The sections of one course, in their order. */
    public List<SectionSchedule> sections(String course) {
        return sections.stream().filter(s -> s.course().code().equals(course)).toList();
    }
}
