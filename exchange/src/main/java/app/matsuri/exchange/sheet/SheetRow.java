package app.matsuri.exchange.sheet;

import java.util.List;

/**
 * A row of a table, or a line of a text.
 *
 * @param number from 1: of a table the record, of a text the line, empty ones counted
 * @param cells as they stand, stripped; of a line one, with the blanks before it
 */
public record SheetRow(int number, List<String> cells) {

    /** A cell; empty where the row has none. */
    String cell(int column) {
        return column < 0 || column >= cells.size() ? "" : cells.get(column);
    }

    boolean blank() {
        return cells.stream().allMatch(String::isBlank);
    }

    /** How many cells have something. */
    long filled() {
        return cells.stream().filter(c -> !c.isBlank()).count();
    }

    /** What stands in it, for people. */
    public String text() {
        return String.join("\t", cells).replaceAll("[\\r\\n]+", " ").stripTrailing();
    }
}
