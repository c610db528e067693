package app.matsuri.core.findings;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.section.Tell;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.Untold;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/** Dates that are not those which the section's students were told. */
final class ToldOtherwise implements Check {

    /** As many are named. */
    private static final int NAMED = 3;

    @Override
    public void look(SectionSchedule schedule, Consumer<Finding> found) {
        List<Untold> differing = Untold.differing(schedule);
        if (differing.isEmpty()) {
            return;
        }
        String code = schedule.section().code();
        String names = differing.stream().limit(NAMED).map(Untold::name).collect(Collectors.joining("; "));
        int more = differing.size() - NAMED;
        found.accept(new Finding(
                "told-otherwise",
                Severity.WARNING,
                Check.about(schedule, "section", code),
                Say.count(differing.size(), "date") + " of section " + code
                        + (differing.size() == 1 ? " is" : " are") + " not what students were told: " + names
                        + (more > 0 ? ", and " + more + " more." : "."),
                new Tell(
                        schedule.course().code(),
                        code,
                        schedule.section().told().upTo(),
                        "",
                        null)));
    }
}
