package app.matsuri.exchange.table;

import app.matsuri.core.calendar.Say;
import app.matsuri.exchange.file.Csv;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/**
 * A table to be edited elsewhere, as CSV (RFC 4180, lines ending in CRLF) or as a workbook, with times on the clock that is read.
 *
 * @param name of the sheet
 * @param columns heads, each with its width in characters
 * @param rows below the heads; a cell is a text, a day or a moment
 * @param how a second sheet of the workbook: how to fill it in
 */
record TableSheet(String name, List<Column> columns, List<List<Object>> rows, List<String> how) {

    record Column(String head, double width) {}

    private static String text(Object cell) {
        return cell instanceof LocalDateTime at ? Say.inTable(at) : cell.toString();
    }

    String csv() {
        StringWriter out = new StringWriter();
        try (Csv csv = Csv.to(out)) {
            csv.row(columns.stream().map(Column::head).toList());
            rows.forEach(row -> csv.row(row.stream().map(TableSheet::text).toList()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    byte[] workbook() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "Matsuri", "1.0")) {
            Worksheet sheet = book.newWorksheet(name);
            for (int c = 0; c < columns.size(); c++) {
                sheet.value(0, c, columns.get(c).head());
                sheet.style(0, c).bold().set();
                sheet.width(c, columns.get(c).width());
            }
            for (int r = 0; r < rows.size(); r++) {
                for (int c = 0; c < columns.size(); c++) {
                    cell(sheet, r + 1, c, rows.get(r).get(c));
                }
            }
            sheet.freezePane(0, 1);
            Worksheet second = book.newWorksheet("How to fill it in");
            for (int r = 0; r < how.size(); r++) {
                second.value(r, 0, how.get(r));
            }
            second.width(0, 100);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static void cell(Worksheet sheet, int row, int column, Object cell) {
        if (cell instanceof LocalDate day) {
            sheet.value(row, column, day);
            sheet.style(row, column).format("yyyy-mm-dd").set();
        } else if (cell instanceof LocalDateTime at) {
            sheet.value(row, column, at);
            sheet.style(row, column)
                    .format(Say.twelveHours() ? "yyyy-mm-dd h:mm AM/PM" : "yyyy-mm-dd hh:mm")
                    .set();
        } else {
            sheet.value(row, column, cell.toString());
        }
    }
}
