package app.matsuri.exchange.file;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.Writer;
import java.util.Arrays;
import java.util.List;

/**
 * A table as CSV (RFC 4180, lines ending in CRLF) that no spreadsheet takes for anything but words: a cell that it would
 * take for a formula has an apostrophe before it, as people type it. {@link #read} takes it off again.
 */
public final class Csv implements AutoCloseable {

    private static final String BEGINS_FORMULA = "=+-@\t\r";

    private final CsvWriter csv;

    private Csv(CsvWriter csv) {
        this.csv = csv;
    }

    /** A table that is written there; closing it closes that too. */
    public static Csv to(Writer out) {
        return new Csv(CsvWriter.builder().lineDelimiter(LineDelimiter.CRLF).build(out));
    }

    /** Writes a row. */
    public void row(String... cells) {
        row(Arrays.asList(cells));
    }

    /** Writes a row. */
    public void row(List<String> cells) {
        csv.writeRecord(cells.stream().map(Csv::words).toList());
    }

    private static boolean formula(String text) {
        return !text.isEmpty()
                && BEGINS_FORMULA.indexOf(text.charAt(0)) >= 0
                && !text.matches("[+-]?\\d{1,15}(?:[.,]\\d{1,10})?");
    }

    /** A cell as it is written. */
    static String words(String text) {
        return formula(text) ? "'" + text : text;
    }

    /** A cell as it was before it was written. */
    static String read(String cell) {
        return cell.startsWith("'") && formula(cell.substring(1)) ? cell.substring(1) : cell;
    }

    @Override
    public void close() throws IOException {
        csv.close();
    }
}
