package app.matsuri.server.clock;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.Together;
import app.matsuri.core.change.pace.HeldAsPlanned;
import app.matsuri.core.change.pace.RecordTaught;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.server.http.ChangeGiven;
import java.time.LocalDate;
import org.springframework.stereotype.Component;

/** Changes as they are made now: with the moment at which they are, and with what counts as held as planned by then. */
@Component
public class Moment {

    private final Today today;

    Moment(Today today) {
        this.today = today;
    }

    /** The day on which a term is looked at. */
    public LocalDate day(Decisions decisions) {
        return today.in(decisions.term().zone());
    }

    /**
     * The change as it is made now.
     *
     * @throws Refused for a record of a class that is still to come
     */
    public Change now(Change change, Decisions before) {
        notAhead(change, day(before));
        return change.at(today.now(before.term().zone()));
    }

    /** The same as one step with the records of what counts as held as planned. */
    public Change now(ChangeGiven given, Decisions before) {
        Change change = now(given.change(), before);
        return given.held()
                ? HeldAsPlanned.of(Schedule.of(before), change, day(before)).with(change, before)
                : change;
    }

    private static void notAhead(Change change, LocalDate today) {
        if (change instanceof Together together) {
            together.changes().forEach(c -> notAhead(c, today));
        } else if (change instanceof RecordTaught record
                && record.session().toLocalDate().isAfter(today)) {
            throw new Refused("The class of " + Say.day(record.session().toLocalDate())
                    + " is still to come: what was taught is recorded from that day on.");
        }
    }
}
