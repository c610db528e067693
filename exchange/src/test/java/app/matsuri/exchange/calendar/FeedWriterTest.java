package app.matsuri.exchange.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalendar;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Words in a feed, read back by biweekly, another library than the one that writes them. */
class FeedWriterTest {

    private static String written(String title) {
        LocalDate first = LocalDate.of(2026, 8, 31);
        LocalDateTime start = first.atTime(9, 0);
        FeedEntry entry = FeedEntry.of("one@matsuri", Instant.EPOCH, start, start.plusHours(1), title, "Weir House");
        FeedWriter.Head head =
                new FeedWriter.Head("HYD 210", "", ZoneId.of("Europe/Berlin"), first, first.plusDays(100));
        return FeedWriter.write(head, List.of(entry));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Plain",
                "Commas, semicolons; and \\ a stroke",
                "Grüße — 日本語 — 👩‍🏫 and so on until the line is longer than seventy-five octets, twice over and some more",
                "x"
            })
    void aTitleComesBackAsItWas(String title) {
        ICalendar read = Biweekly.parse(written(title)).first();
        assertThat(read.getEvents()).hasSize(1);
        assertThat(read.getEvents().get(0).getSummary().getValue()).isEqualTo(title);
    }

    @ParameterizedTest
    @ValueSource(strings = {"a\rATTACH:b", "a\u0000\u0007b", "a\r\rURL:c", "\u007f\u001b[31m"})
    void aControlCharacterBeginsNoLineAndStandsInNone(String title) {
        String text = written(title);
        assertThat(Stream.of(text.split("\r\n")))
                .allMatch(line -> line.chars().noneMatch(c -> c != '\t' && Character.isISOControl(c)))
                .allMatch(line -> line.getBytes(StandardCharsets.UTF_8).length <= 75)
                .noneMatch(line -> line.startsWith("ATTACH") || line.startsWith("URL"));
        assertThat(Biweekly.parse(text).first().getEvents()).hasSize(1);
    }
}
