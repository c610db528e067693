package app.matsuri.exchange.file;

import app.matsuri.core.calendar.TimeLimit;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.ReadingOptions;

/** Reads the rows of a table: CSV with whatever separator, pasted cells, or the first sheet of a workbook. */
public final class TableFile {

    /** The most rows that are read. */
    public static final int MOST_ROWS = 20_000;

    private static final int MOST_CELLS = 200;
    private static final String SEPARATORS = ",;\t|";

    private TableFile() {}

    /**
     * The rows of a workbook, a CSV file or pasted cells; empty rows are left out.
     *
     * @throws Unreadable when it cannot be read
     */
    public static List<List<String>> rows(Given file) {
        return numbered(file).stream().map(Row::cells).toList();
    }

    /**
     * A row.
     *
     * @param number the line of the file that it begins on, of a workbook the row, from 1
     */
    public record Row(int number, List<String> cells) {}

    /**
     * The same with where each stands.
     *
     * @throws Unreadable when it cannot be read
     */
    public static List<Row> numbered(Given file) {
        return file.kind() == Given.Kind.WORKBOOK ? workbook(file) : text(file.name(), file.text());
    }

    /**
     * Every row, empty ones too, by its place among them from 1; of a workbook by its number.
     *
     * @throws Unreadable when it cannot be read
     */
    public static List<Row> records(Given file) {
        if (file.kind() == Given.Kind.WORKBOOK) {
            return workbook(file);
        }
        List<Row> rows = new ArrayList<>();
        read(file.name(), file.text(), row -> {
            if (rows.size() == MOST_ROWS) {
                throw tooMany(file.name());
            }
            rows.add(new Row(rows.size() + 1, cells(row, file.name())));
        });
        return rows;
    }

    private static List<Row> text(String name, String text) {
        List<Row> rows = new ArrayList<>();
        read(name, text, row -> add(rows, (int) row.getStartingLineNumber(), cells(row, name), name));
        return rows;
    }

    private static List<String> cells(CsvRecord row, String name) {
        TimeLimit.look();
        return row.getFields().stream()
                .limit(MOST_CELLS)
                .map(cell -> bounded(cell, row.getStartingLineNumber(), name))
                .toList();
    }

    private static String bounded(String cell, long row, String name) {
        if (cell.length() > Given.MOST_LINE) {
            throw new Unreadable(String.format(
                    Locale.ENGLISH,
                    "A cell of row %d of “%s” has %,d characters; at most %,d are read. Look for a quote (\") that is not closed.",
                    row,
                    name,
                    cell.length(),
                    Given.MOST_LINE));
        }
        return Csv.read(cell.strip());
    }

    private static void read(String name, String text, Consumer<CsvRecord> each) {
        char separator = separator(text);
        try (CsvReader<CsvRecord> csv = CsvReader.builder()
                .fieldSeparator(separator)
                .allowExtraFields(true)
                .allowMissingFields(true)
                .allowUnclosedQuote(separator == '\t')
                .allowExtraCharsAfterClosingQuote(separator == '\t')
                .skipEmptyLines(false)
                .ofCsvRecord(text)) {
            csv.forEach(each);
        } catch (CsvParseException e) {
            throw new Unreadable(
                    "“" + name + "” is no table that can be read: " + e.getMessage()
                            + " Look for a quote (\") that is not closed.",
                    e);
        } catch (IOException e) {
            throw new Unreadable("“" + name + "” could not be read.", e);
        }
    }

    /** The separator that stands most evenly in the first lines, outside quotes. */
    private static char separator(String text) {
        List<String> lines = text.lines()
                .map(line -> line.replaceAll("\"[^\"]*\"", ""))
                .filter(line -> !line.isBlank())
                .limit(20)
                .toList();
        char best = ',';
        long most = 0;
        for (char c : SEPARATORS.toCharArray()) {
            long with = lines.stream().filter(line -> line.indexOf(c) >= 0).count();
            long score = with * (c == ',' ? 2 : 3); // a comma stands in many a name
            if (score > most) {
                most = score;
                best = c;
            }
        }
        return best;
    }

    private static void add(List<Row> rows, int number, List<String> cells, String name) {
        if (cells.stream().allMatch(String::isBlank)) {
            return;
        }
        if (rows.size() == MOST_ROWS) {
            throw tooMany(name);
        }
        rows.add(new Row(number, cells));
    }

    private static Unreadable tooMany(String name) {
        return new Unreadable("“" + name + "” has more than 20,000 rows. Cut it down to what is needed.");
    }

    private static List<Row> workbook(Given file) {
        Unzipped.of(file, "workbook");
        WorkbookBounds.check(file);
        List<Row> rows = new ArrayList<>();
        try (ReadableWorkbook book = new ReadableWorkbook(
                        new ByteArrayInputStream(file.content()), new ReadingOptions(true, false));
                Stream<org.dhatim.fastexcel.reader.Row> sheet =
                        book.getFirstSheet().openStream()) {
            sheet.forEach(row -> {
                TimeLimit.look();
                List<String> cells = new ArrayList<>();
                for (int i = 0; i < Math.min(row.getCellCount(), MOST_CELLS); i++) {
                    cells.add(bounded(
                            row.getOptionalCell(i).map(TableFile::said).orElse(""), row.getRowNum(), file.name()));
                }
                add(rows, row.getRowNum(), cells, file.name());
            });
        } catch (IOException | RuntimeException e) {
            if (e instanceof Unreadable || e instanceof TimeLimit.TooLong) {
                throw (RuntimeException) e;
            }
            throw new Unreadable("“" + file.name() + "” is no workbook that can be read. Save it as .xlsx or .csv.", e);
        }
        return rows;
    }

    /** A cell as text; a date as 2026-10-12, with its time where it has one. */
    private static String said(Cell cell) {
        String format = cell.getDataFormatString();
        boolean date = cell.getType() == CellType.NUMBER && format != null && format.matches("(?i).*[dmyh].*");
        if (date) {
            LocalDateTime moment = cell.asDate();
            return moment.toLocalTime().toSecondOfDay() == 0
                    ? moment.toLocalDate().toString()
                    : moment.toLocalDate() + " " + moment.toLocalTime();
        }
        String text = cell.getText() == null ? "" : cell.getText();
        return cell.getType() == CellType.NUMBER ? text.replaceFirst("\\.0$", "") : text;
    }
}
