package app.matsuri.core.change.calendar;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.Together;
import app.matsuri.core.change.pace.RemoveRecord;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.session.Session;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;

/** "There was no class yesterday": what was recorded for the day goes, and the section had no class on it. */
public final class NoClass {

    private NoClass() {}

    /**
     * The change that says it.
     *
     * @throws Refused when there is no such section, or it had no class on the day
     */
    public static Change on(Decisions before, String course, String section, LocalDate day) {
        Section in = Find.section(before, course, section);
        List<LocalDateTime> names = Find.follows(before, course, section).sessions().all().stream()
                .filter(s -> s.date().equals(day))
                .map(Session::name)
                .toList();
        if (names.isEmpty()) {
            throw new Refused("Section " + section + " has no class on " + Say.day(day) + ".");
        }
        List<Change> changes = new ArrayList<>();
        names.stream()
                .filter(in.taught()::containsKey)
                .forEach(name -> changes.add(new RemoveRecord(course, section, name)));
        Closure closure = Closure.of(day, day, "No class", "other");
        changes.add(new AddClosure(new Closure(
                closure.days(),
                closure.from(),
                closure.to(),
                closure.reason(),
                closure.kind(),
                true,
                false,
                false,
                List.of(new SectionRef(course, section).toString()),
                false,
                closure.extra())));
        return new Together("No class on " + Say.day(day) + Find.in(course, section), changes);
    }
}
