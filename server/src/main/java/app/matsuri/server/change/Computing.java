package app.matsuri.server.change;

import app.matsuri.core.findings.Findings;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.exchange.plan.Fault;
import app.matsuri.server.http.Problem;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Whether what follows from decisions can be worked out: nothing is stored that cannot. */
@Component
public class Computing {

    private static final Logger LOG = LoggerFactory.getLogger(Computing.class);

    /**
     * Works everything out once.
     *
     * @throws Problem where it cannot be, with what and where
     */
    public Schedule checked(Decisions decisions) {
        try {
            Schedule schedule = Schedule.of(decisions);
            Findings.of(schedule);
            return schedule;
        } catch (RuntimeException e) {
            Fault fault = fault(decisions, e);
            throw new Problem(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "cannot-be-computed",
                    "What follows from it cannot be worked out",
                    fault.message() + " Nothing was stored.",
                    List.of(fault));
        }
    }

    /** Why what is stored cannot be worked out; empty where it can. */
    public Optional<Fault> fault(Decisions decisions) {
        try {
            Findings.of(Schedule.of(decisions));
            return Optional.empty();
        } catch (RuntimeException e) {
            return Optional.of(fault(decisions, e));
        }
    }

    /** The first section whose dates cannot be worked out by themselves, else the whole. */
    private static Fault fault(Decisions decisions, RuntimeException cause) {
        LOG.error("decisions that cannot be computed", cause);
        String why = cause.getMessage() == null ? cause.getClass().getSimpleName() : cause.getMessage();
        for (int c = 0; c < decisions.courses().size(); c++) {
            Course course = decisions.courses().get(c);
            for (int s = 0; s < course.sections().size(); s++) {
                Section section = course.sections().get(s);
                Course alone = course.withSections(List.of(section));
                try {
                    Findings.of(Schedule.of(decisions.withCourses(List.of(alone))));
                } catch (RuntimeException e) {
                    return new Fault(
                            Fault.Severity.FATAL,
                            "/courses/" + c + "/sections/" + s,
                            0,
                            "The dates of “" + course.code() + "”, section " + section.code()
                                    + ", cannot be worked out (" + why + "). Look at its lessons, pins and records.");
                }
            }
        }
        return new Fault(Fault.Severity.FATAL, "", 0, "The dates of this term cannot be worked out (" + why + ").");
    }
}
