package app.matsuri.core.findings;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.threeten.extra.LocalDateRange;

/** Lessons that a break parts, and units that ask to keep to weeks and have a break within. */
final class AcrossBreaks implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        List<LocalDateRange> breaks = in.calendar().breaks();
        Map<String, LocalDate[]> units = new LinkedHashMap<>();
        for (Placement placement : in.placements()) {
            if (!placement.placed()) {
                continue;
            }
            LocalDate first = in.sessions().get(placement.first()).date();
            LocalDate last = in.sessions().get(placement.last()).date();
            units.merge(placement.unit().id(), new LocalDate[] {first, last}, (a, b) -> new LocalDate[] {a[0], b[1]});
            for (LocalDateRange off : breaks) {
                if (within(off, first, last)) {
                    found.accept(new Finding(
                            "lesson-across-break",
                            Severity.WARNING,
                            Check.about(in, "lesson", placement.lesson().id()),
                            "“" + placement.lesson().title() + "” begins on " + Say.day(first)
                                    + " and goes on after the" + " break that ends on " + Say.day(off.getEndInclusive())
                                    + ".",
                            null));
                }
            }
        }
        in.course().units().stream()
                .filter(unit -> unit.startsWeek() && units.containsKey(unit.id()))
                .forEach(unit -> breaks.stream()
                        .filter(off -> within(off, Known.in(units, unit.id())[0], Known.in(units, unit.id())[1]))
                        .forEach(off -> found.accept(new Finding(
                                "unit-across-break",
                                Severity.REMARK,
                                Check.about(in, "unit", unit.id()),
                                "Unit “" + unit.title() + "” has the break that ends on "
                                        + Say.day(off.getEndInclusive()) + " within.",
                                null))));
    }

    private static boolean within(LocalDateRange off, LocalDate first, LocalDate last) {
        return off.getStart().isAfter(first) && off.getEndInclusive().isBefore(last);
    }
}
