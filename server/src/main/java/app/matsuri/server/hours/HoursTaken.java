package app.matsuri.server.hours;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.findings.Finding;
import app.matsuri.core.hours.AllTaken;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.server.findings.BesidePlan;
import app.matsuri.server.storage.Stored;
import java.util.List;
import org.springframework.stereotype.Component;

/** Finds office hours in which nobody finds a place for weeks. */
@Component
class HoursTaken implements BesidePlan {

    private final Bookings bookings;

    HoursTaken(Bookings bookings) {
        this.bookings = bookings;
    }

    @Override
    public List<Finding> findings(Stored stored) {
        return stored.decisions().officeHours().stream()
                .flatMap(hours -> AllTaken.of(bookings.offering(stored, hours, null)).stream()
                        .map(taken -> finding(hours, taken)))
                .toList();
    }

    private static Finding finding(OfficeHours hours, AllTaken taken) {
        String next =
                taken.until() == null ? "and none comes after them" : "the next is free on " + Say.day(taken.until());
        return new Finding(
                "hours-taken",
                Finding.Severity.WARNING,
                new Finding.About("hours", "", "", hours.id()),
                "“" + hours.title() + "”: every slot is taken for " + Say.count(taken.weeks(), "week") + ", " + next
                        + ". Add a window, or a slot or two.",
                null);
    }
}
