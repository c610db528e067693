package app.matsuri.exchange.sheet;

import app.matsuri.exchange.sheet.Entry.Given;
import app.matsuri.exchange.sheet.Entry.Taught;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** One row, while it is read. */
final class RowRead {

    final SheetRow row;
    final List<Taught> lessons = new ArrayList<>();
    final List<Given> works = new ArrayList<>();

    @Nullable
    LocalDate first;

    @Nullable
    LocalDate until;

    boolean ofWeek;

    RowRead(SheetRow row) {
        this.row = row;
    }

    /** The day of a week's row that has the first of some weekdays; null where it has none. */
    @Nullable
    LocalDate on(Set<DayOfWeek> weekdays) {
        if (first == null || until == null || weekdays.isEmpty()) {
            return null;
        }
        LocalDate monday = first.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        return monday.plusDays(EnumSet.copyOf(weekdays).iterator().next().getValue() - 1L);
    }
}
