package app.matsuri.core.rollover;

import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.session.MeetingPattern;
import java.util.ArrayList;
import java.util.List;

/** Office hours that come along with courses: their weekly times over the whole new term, without what was changed of single slots. */
final class HoursRolled {

    private HoursRolled() {}

    /**
     * Those of a term that concern courses that are rolled over.
     *
     * @param courses codes of those that come along
     * @param to the new term, with them in it
     * @param notes gets what does not come along
     */
    static List<OfficeHours> of(Decisions from, List<String> courses, Decisions to, List<String> notes) {
        List<OfficeHours> brought = new ArrayList<>();
        for (OfficeHours hours : from.officeHours()) {
            List<String> still = hours.courses().stream()
                    .filter(code -> to.course(code).isPresent())
                    .toList();
            boolean concerns = courses.stream().anyMatch(hours::isFor);
            if (!concerns || to.officeHours(hours.id()).isPresent()) {
                continue;
            }
            List<MeetingPattern> windows = hours.windows().stream()
                    .filter(w -> w.from() == null || !w.from().equals(w.until()))
                    .map(w -> w.within(null, null))
                    .toList();
            if (windows.size() < hours.windows().size()) {
                notes.add("“" + hours.title() + "”: times on single dates stay behind.");
            }
            if (!windows.isEmpty()) {
                brought.add(hours.as(windows, hours.booking(), hours.courses().isEmpty() ? List.of() : still)
                        .plain());
            }
        }
        return brought;
    }
}
