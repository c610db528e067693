package app.matsuri.exchange.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Words that a spreadsheet would take for a formula, there and back. */
class CsvTest {

    @ParameterizedTest
    @CsvSource(
            quoteCharacter = '`',
            value = {
                "=1+1, '=1+1",
                "@SUM(A1), '@SUM(A1)",
                "-2+cmd|' /C calc'!A0, '-2+cmd|' /C calc'!A0",
                "+41 44 000, '+41 44 000",
                "-3, -3",
                "+1.5, +1.5",
                "2026-10-05, 2026-10-05",
                "'quoted', 'quoted'",
                "Quiz = fun, Quiz = fun",
            })
    void aFormulaIsWords(String said, String written) throws IOException {
        StringWriter out = new StringWriter();
        try (Csv csv = Csv.to(out)) {
            csv.row("title", "points");
            csv.row(said, "1");
        }
        assertThat(out).hasToString("title,points\r\n" + written + ",1\r\n");
        assertThat(TableFile.rows(new Given("t.csv", out.toString().getBytes(StandardCharsets.UTF_8)))
                        .get(1))
                .containsExactly(said, "1");
    }

    @Test
    void aTabOrALineBreakAtTheBeginningIsNoWayRoundIt() {
        assertThat(Csv.words("\t=1+1")).isEqualTo("'\t=1+1");
        assertThat(Csv.words("\r=1+1")).isEqualTo("'\r=1+1");
    }
}
