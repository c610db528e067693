package app.matsuri.exchange.sheet;

import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.TableFile;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * A teacher's own sheet, as rows of a table or lines of a text.
 *
 * @param table whether it has columns
 */
public record Sheet(List<SheetRow> rows, boolean table) {

    /** The most rows or lines that are read. */
    public static final int MOST_ROWS = 5_000;

    private static final Pattern TABBED = Pattern.compile("\\S[ ]*\\t.*\\S|\\S\\t+");

    /**
     * What was read.
     *
     * @param columns how its columns were taken, from the first; none for a text
     * @param entries what its rows are, in their order; what concerns the whole sheet stands at row 0
     * @param old whether its dates are those of another term
     * @param shift how many days on from those the same week and weekday of this term lie
     */
    public record Reading(List<SheetColumn> columns, List<Entry> entries, boolean old, int shift) {}

    /**
     * A column as it was taken.
     *
     * @param number from 1
     * @param head what its head says; empty for none
     * @param samples what stands in its first cells that are not empty
     */
    public record SheetColumn(int number, String head, Meaning meaning, List<String> samples) {}

    /** A pasted or typed text: a table where cells stand apart by tabs. */
    public static Sheet of(String text) {
        long tabs = text.lines().filter(l -> TABBED.matcher(l.strip()).find()).count();
        return tabs > 0 ? table(new Given("the table.tsv", text.getBytes(StandardCharsets.UTF_8))) : lines(text);
    }

    /**
     * A table from a file or pasted cells.
     *
     * @throws app.matsuri.exchange.file.Unreadable when it cannot be read
     */
    public static Sheet table(Given file) {
        return new Sheet(
                TableFile.records(file).stream()
                        .map(r -> new SheetRow(r.number(), r.cells()))
                        .toList(),
                true);
    }

    private static Sheet lines(String text) {
        List<SheetRow> rows = new ArrayList<>();
        for (String line : text.split("\\R", -1)) {
            rows.add(new SheetRow(rows.size() + 1, List.of(line)));
        }
        return new Sheet(rows, false);
    }

    /** The rows that are read; what comes behind them is not. */
    private List<SheetRow> some() {
        return rows.size() <= MOST_ROWS ? rows : rows.subList(0, MOST_ROWS);
    }

    /** Everything that stands in it. */
    private String text() {
        return some().stream().map(r -> String.join("\t", r.cells())).collect(Collectors.joining("\n"));
    }

    /**
     * Reads it for a term.
     *
     * @param said what a person said of columns, by index from 0
     * @param as what a person said of rows, by number: "unit", "lesson", "work" or "nothing"
     */
    public Reading read(SheetTerm term, Map<Integer, Meaning> said, Map<Integer, String> as) {
        SheetDays days = new SheetDays(text(), term);
        List<Entry> entries = new ArrayList<>();
        List<SheetColumn> named = new ArrayList<>();
        if (table) {
            Columns columns = Columns.of(some(), days, said);
            columns.doubts().forEach(d -> entries.add(Entry.doubt(0, d)));
            entries.addAll(TableParts.read(some(), columns, days, as));
            for (int c = 0; c < columns.meanings().size(); c++) {
                named.add(new SheetColumn(
                        c + 1, columns.names().get(c), columns.meanings().get(c), samples(c, columns.heads())));
            }
        } else {
            entries.addAll(TextParts.read(some(), days, as));
        }
        if (days.old()) {
            entries.add(Entry.doubt(
                    0,
                    "The dates are those of another term: the order and the distances were kept, dates moved on by "
                            + days.shift() + " days to the same week and weekday of this term. Look through them."));
        }
        if (rows.size() > MOST_ROWS && rows.stream().skip(MOST_ROWS).anyMatch(r -> !r.blank())) {
            entries.add(Entry.doubt(
                    rows.get(MOST_ROWS).number(),
                    "An outline has at most " + MOST_ROWS + " lines: from here on nothing was read. Split it."));
        }
        return new Reading(named, entries, days.old(), days.shift());
    }

    private List<String> samples(int column, int heads) {
        return some().stream()
                .skip(heads + 1L)
                .map(r -> r.cell(column).replaceAll("\\s+", " "))
                .filter(c -> !c.isBlank())
                .limit(3)
                .map(c -> c.length() > 60 ? c.substring(0, 59) + "…" : c)
                .toList();
    }
}
