package app.matsuri.exchange.file;

import app.matsuri.core.calendar.TimeLimit;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** Rows of tables and lines of text in the order of a document, while it is read. */
final class PlainRows {

    private static final int MOST = 20_000;
    private static final int MOST_CELLS = 400_000;

    private final String name;
    private final List<List<String>> rows = new ArrayList<>();
    private boolean table;
    private int count;

    PlainRows(String name) {
        this.name = name;
    }

    /** A line of its own, with the blanks before it. */
    void line(String text) {
        add(List.of(text));
    }

    void row(List<String> cells) {
        table |= cells.size() > 1;
        add(cells);
    }

    private void add(List<String> cells) {
        if (rows.size() >= MOST) {
            throw new Unreadable("“" + name + "” has more than 20,000 rows. Cut it down to what is needed.");
        }
        count += cells.size();
        if (count > MOST_CELLS) {
            throw new Unreadable("“" + name + "” has more than 400,000 cells. Cut it down to what is needed.");
        }
        TimeLimit.look();
        rows.add(cells);
    }

    /**
     * As a file of cells where it has a table, else as a text.
     *
     * @throws Unreadable when there is no text in it
     */
    Given given() {
        if (rows.stream().allMatch(r -> r.stream().allMatch(String::isBlank))) {
            throw new Unreadable("“" + name + "” has no text to read.");
        }
        String text = rows.stream()
                .map(r ->
                        table ? r.stream().map(PlainRows::cell).collect(Collectors.joining("\t")) : String.join(" ", r))
                .collect(Collectors.joining("\n"));
        return new Given(name + (table ? ".tsv" : ".txt"), text.getBytes(java.nio.charset.StandardCharsets.UTF_8));
    }

    /** A cell as spreadsheets copy it. */
    private static String cell(String text) {
        String plain = text.strip().replace("\t", " ");
        return plain.contains("\n") || plain.contains("\"") ? "\"" + plain.replace("\"", "\"\"") + "\"" : plain;
    }
}
