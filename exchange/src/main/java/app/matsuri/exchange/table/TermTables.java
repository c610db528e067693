package app.matsuri.exchange.table;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.format.TextStyle;
import java.util.Locale;

/** A term's days off and classes as tables: RFC 4180 CSV, lines ending in CRLF; times on the clock that is read. Both read back. */
public final class TermTables {

    private TermTables() {}

    private interface Rows {
        void write(CsvWriter csv);
    }

    /** The days off. */
    public static String daysOff(Term term) {
        return table(csv -> {
            csv.writeRecord(
                    "first", "last", "from", "to", "reason", "kind", "no class", "plan pauses", "nothing due", "for");
            for (Closure c : term.closures()) {
                csv.writeRecord(
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

    /** The classes of all sections. */
    public static String sessions(Schedule schedule) {
        return table(csv -> {
            csv.writeRecord("course", "section", "class", "date", "weekday", "starts", "ends", "minutes", "place");
            for (SectionSchedule in : schedule.sections()) {
                int n = 0;
                for (Session s : in.sessions().all()) {
                    boolean beat = s.origin() == Session.Origin.BEAT;
                    csv.writeRecord(
                            in.course().code(),
                            in.section().code(),
                            String.valueOf(++n),
                            s.date().toString(),
                            s.date().getDayOfWeek().getDisplayName(TextStyle.FULL, Locale.ENGLISH),
                            beat ? "" : Say.time(s.start().toLocalTime()),
                            beat ? "" : Say.end(s.end().toLocalTime()),
                            String.valueOf(s.minutes()),
                            s.place());
                }
            }
        });
    }

    private static String said(boolean yes) {
        return yes ? "yes" : "no";
    }

    private static String table(Rows rows) {
        StringWriter out = new StringWriter();
        try (CsvWriter csv =
                CsvWriter.builder().lineDelimiter(LineDelimiter.CRLF).build(out)) {
            rows.write(csv);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }
}
