package app.matsuri.core.findings;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.function.Consumer;
import org.threeten.extra.LocalDateRange;

/** Tests in the first class after a break, or in the last before one. */
final class TestsAroundBreaks implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        List<LocalDateRange> breaks = in.calendar().breaks();
        for (ItemDates dates : in.dates()) {
            LocalDateTime due = dates.at(Which.DUE);
            if (due == null || !dates.item().test()) {
                continue;
            }
            LocalDate day = due.toLocalDate();
            for (LocalDateRange off : breaks) {
                int before = in.sessions().lastBefore(off.getStart().atStartOfDay());
                if (before >= 0
                        && in.sessions().get(before).date().equals(day)
                        && off.getEndInclusive().isBefore(in.calendar().term().last())) {
                    found.accept(new Finding(
                            "test-before-break",
                            Severity.WARNING,
                            Check.about(in, "item", dates.item().id()),
                            "“" + dates.item().title() + "” is on " + Say.day(day)
                                    + ", the last class before the break that begins on "
                                    + Say.day(off.getStart()) + ".",
                            null));
                }
                int next = in.sessions().firstAfter(off.getEndInclusive().atTime(23, 59));
                if (next < in.sessions().size()
                        && in.sessions().get(next).date().equals(day)
                        && off.getStart().isAfter(in.calendar().term().first())) {
                    found.accept(new Finding(
                            "test-after-break",
                            Severity.WARNING,
                            Check.about(in, "item", dates.item().id()),
                            "“" + dates.item().title() + "” is on " + Say.day(day)
                                    + ", the first class after the break that ends on "
                                    + Say.day(off.getEndInclusive()) + ".",
                            null));
                }
            }
        }
    }
}
