package app.matsuri.exchange.table;

import app.matsuri.core.plan.Decisions;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.words.CellWords;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Reads a table that was edited elsewhere: the table of dates, that of classes, that of office hours, or entries under other heads. */
public final class TableReader {

    private TableReader() {}

    /**
     * Reads the rows of a table.
     *
     * @param usual code of the course that entries are for where they do not say; null for the only one
     * @param dayFirst whether 10/11 is the tenth of November
     * @throws Unreadable when it is none of them
     */
    public static TableReading read(
            List<List<String>> rows, Decisions decisions, @Nullable String usual, LocalDate today, boolean dayFirst) {
        List<String> heads = rows.isEmpty()
                ? List.of()
                : rows.get(0).stream()
                        .map(head -> head.strip().toLowerCase(Locale.ROOT))
                        .collect(Collectors.toList());
        CellWords cells = new CellWords(decisions, Schedule.of(decisions), today, dayFirst);
        if (ClassesSheetReader.recognises(heads)) {
            return ClassesSheetReader.read(rows, decisions, cells.days());
        }
        if (HoursSheet.recognises(heads)) {
            return HoursSheet.read(rows, decisions, cells.days());
        }
        return DatesSheetReader.recognises(heads)
                ? DatesSheetReader.read(rows, decisions, cells)
                : EntriesReader.read(rows, decisions, usual, cells.days());
    }
}
