package app.matsuri.server.findings;

import app.matsuri.core.findings.Finding;
import app.matsuri.core.findings.Findings;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.server.clock.Moment;
import app.matsuri.server.storage.Stored;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** All that is found of a term: of its plan, then of what is beside it. */
@Component
public class AllFindings {

    private final Moment moment;
    private final List<BesidePlan> beside;

    AllFindings(Moment moment, List<BesidePlan> beside) {
        this.moment = moment;
        this.beside = List.copyOf(beside);
    }

    /** All of them. */
    public List<Finding> of(Stored stored) {
        return of(stored, Schedule.of(stored.decisions()));
    }

    /** Likewise, where its schedule is at hand. */
    public List<Finding> of(Stored stored, Schedule schedule) {
        List<Finding> findings = new ArrayList<>(Findings.of(schedule, moment.day(stored.decisions())));
        beside.forEach(of -> findings.addAll(of.findings(stored)));
        return findings;
    }
}
