package app.matsuri.exchange.table;

import app.matsuri.core.rollover.Rolled;
import app.matsuri.exchange.file.Csv;
import app.matsuri.exchange.plan.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.time.LocalDateTime;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/** What a rollover comes to as a table: RFC 4180 CSV, lines ending in CRLF. */
public final class RolloverTable {

    private RolloverTable() {}

    /**
     * Writes a row for each dated thing of each section.
     *
     * @param courses with the course before each row, for several at once
     * @param said how a moment is written
     */
    public static void write(List<Rolled> rows, boolean courses, Function<LocalDateTime, String> said, Writer out) {
        try (Csv csv = Csv.to(out)) {
            List<String> head = List.of("section", "what", "id", "title", "old", "new", "why", "state");
            csv.row(courses ? before("course", head) : head);
            for (Rolled row : rows) {
                List<String> cells = List.of(
                        row.section(),
                        row.what(),
                        row.id(),
                        row.title(),
                        row.old() == null ? "" : said.apply(row.old()),
                        row.now() == null ? "" : said.apply(row.now()),
                        row.why(),
                        Words.word(row.state()));
                csv.row(courses ? before(row.course(), cells) : cells);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static List<String> before(String first, List<String> rest) {
        return Stream.concat(Stream.of(first), rest.stream()).toList();
    }
}
