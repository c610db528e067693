package app.matsuri.exchange.table;

import app.matsuri.core.lookback.LookBack;
import app.matsuri.core.lookback.UnitPace;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.exchange.file.Csv;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.Locale;
import java.util.Map;

/** How long units took, term by term, as a table: RFC 4180 CSV, lines ending in CRLF. */
public final class LookBackTable {

    private LookBackTable() {}

    /**
     * Writes a row for each unit of each term.
     *
     * @param terms the course's section by the name of the term, in the order in which they are to stand
     */
    public static void write(Map<String, SectionSchedule> terms, Writer out) {
        try (Csv csv = Csv.to(out)) {
            csv.row(
                    "unit",
                    "title",
                    "term",
                    "section",
                    "state",
                    "planned",
                    "taught",
                    "sessions",
                    "first",
                    "last",
                    "weeks",
                    "teaching weeks",
                    "lost",
                    "tests",
                    "notes");
            terms.forEach((term, section) -> LookBack.of(section).forEach(pace -> row(csv, term, pace)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void row(Csv csv, String term, UnitPace pace) {
        csv.row(
                pace.unit().id(),
                pace.unit().title(),
                term,
                pace.section(),
                pace.state().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                String.valueOf(pace.planned()),
                String.valueOf(pace.taught()),
                String.valueOf(pace.sessions()),
                pace.first() == null ? "" : pace.first().toString(),
                pace.last() == null ? "" : pace.last().toString(),
                String.valueOf(pace.weeks()),
                String.valueOf(pace.teachingWeeks()),
                String.join(
                        "; ",
                        pace.lost().stream().map(c -> c.date() + " " + c.what()).toList()),
                String.join(
                        "; ",
                        pace.tests().stream()
                                .map(t -> t.date() + " " + t.title())
                                .toList()),
                String.join("; ", pace.notes()));
    }
}
