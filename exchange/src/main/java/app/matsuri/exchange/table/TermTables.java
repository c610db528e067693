package app.matsuri.exchange.table;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.Term;
import app.matsuri.exchange.file.Csv;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;

/** A term's days off as a table: RFC 4180 CSV, lines ending in CRLF; times on the clock that is read. Reads back. */
public final class TermTables {

    private TermTables() {}

    private interface Rows {
        void write(Csv csv);
    }

    /** The days off. */
    public static String daysOff(Term term) {
        return table(csv -> {
            csv.row("first", "last", "from", "to", "reason", "kind", "no class", "plan pauses", "nothing due", "for");
            for (Closure c : term.closures()) {
                csv.row(
                        c.first().toString(),
                        c.last().toString(),
                        c.from() == null ? "" : Say.time(c.from()),
                        c.to() == null ? "" : Say.end(c.to()),
                        c.reason(),
                        c.kind(),
                        said(c.noClass()),
                        said(c.planPauses()),
                        said(c.nothingDue()),
                        c.everyone() ? "everyone" : String.join(", ", c.only()));
            }
        });
    }

    private static String said(boolean yes) {
        return yes ? "yes" : "no";
    }

    private static String table(Rows rows) {
        StringWriter out = new StringWriter();
        try (Csv csv = Csv.to(out)) {
            rows.write(csv);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }
}
