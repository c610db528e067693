package app.matsuri.exchange.table;

import app.matsuri.core.change.Change;
import java.util.List;

/**
 * What reading a table came to.
 *
 * @param lines what is worth saying
 * @param changes what differs, in the order in which it is to be made; empty where nothing does
 * @param same how many dates are as they are here
 */
public record TableReading(List<Line> lines, List<Change> changes, int same) {

    /**
     * One cell or row that is worth saying.
     *
     * @param row its row in the table, the heading being 1
     * @param date the column that it is about; empty for the row
     * @param state "changed", "doubt" (changed, and to be looked at), "not-understood" or "unknown"
     */
    public record Line(int row, String title, String section, String date, String state, String said) {}

    public TableReading {
        lines = List.copyOf(lines);
        changes = List.copyOf(changes);
    }
}
