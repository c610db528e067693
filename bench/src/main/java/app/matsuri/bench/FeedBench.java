package app.matsuri.bench;

import app.matsuri.exchange.calendar.FeedEntry;
import app.matsuri.exchange.calendar.FeedWriter;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** A feed of 120 dated things, each with an alarm and words, and 44 classes, written as text. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 3, time = 2)
@Fork(1)
public class FeedBench {

    private final List<FeedEntry> entries = new ArrayList<>();
    private FeedWriter.Head head;

    @Setup
    public void make() {
        LocalDate first = LocalDate.of(2026, 8, 31);
        Instant stamp = Instant.parse("2026-08-25T14:00:00Z");
        head = new FeedWriter.Head(
                "HYD 210",
                "https://plan.example/see/x/dates.ics",
                ZoneId.of("America/Chicago"),
                first,
                first.plusDays(110));
        for (int i = 0; i < 164; i++) {
            boolean due = i < 120;
            LocalDateTime start = first.plusDays(i % 110).atTime(16, 45);
            entries.add(new FeedEntry(
                    (due ? "due-" : "class-") + i + "@matsuri",
                    1,
                    stamp,
                    start,
                    start.plusMinutes(15),
                    false,
                    "HYD 210: Work " + i + " of unit " + i % 4,
                    "due Thu 22 Oct, 17:00\ntaken until Sat 24 Oct, 17:00\nopen since Mon 12 Oct, 10:50",
                    due ? "" : "Weir House 2",
                    "https://plan.example/see/WHdTY2hsdXNz/thing?course=HYD%20210&id=work-" + i,
                    due ? "homework" : "class",
                    false,
                    false,
                    null,
                    null,
                    due ? List.of(Duration.ofHours(32)) : List.of()));
        }
    }

    /** The whole feed. */
    @Benchmark
    public String feed() {
        return FeedWriter.write(head, entries);
    }
}
