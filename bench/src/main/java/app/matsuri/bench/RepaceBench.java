package app.matsuri.bench;

import app.matsuri.core.plan.Weights;
import app.matsuri.core.repace.Optimum;
import app.matsuri.core.repace.Pacing;
import app.matsuri.core.repace.Stretch;
import app.matsuri.core.repace.Stretch.Asked;
import app.matsuri.core.repace.Stretch.Slot;
import app.matsuri.exchange.repace.Instances;
import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * The best pacing of a school year: 180 sessions, 180 lessons in 36 units that ask for week starts, pins, told days, lessons
 * that may be joined, left out or shortened; times 1, 2, 4, 8; once without told days and joins ("plain"), once with sessions of
 * 75 minutes that lessons of 50 take by the minute ("minutes"), and instance 18.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class RepaceBench {

    @Param({"18-s180-b", "plain", "minutes", "1", "2", "4", "8"})
    public String size;

    private Stretch stretch;

    @Setup
    public void make() throws IOException {
        stretch = switch (size) {
            case "18-s180-b" -> Instances.stretch(Instances.read(size));
            case "plain" -> year(1, true, 0);
            case "minutes" -> year(1, false, 50);
            default -> year(Integer.parseInt(size), false, 0);
        };
    }

    private static Stretch year(int times, boolean plain, int usual) {
        LocalDate first = LocalDate.parse("2026-08-31");
        List<Slot> slots = new ArrayList<>();
        for (int i = 0; i < 180 * times; i++) {
            int week = i / 5;
            // three days are lost, and every ninth week is a break
            slots.add(new Slot(first.plusWeeks(week + week / 9).plusDays(i % 5), i % 5 == 0, week / 9, 75, false));
        }
        List<Asked> lessons = new ArrayList<>();
        for (int n = 0; n < 180 * times; n++) {
            boolean last = n % 5 == 4;
            boolean pinned = n % 30 == 20;
            lessons.add(new Asked(
                    "L" + n,
                    n / 5,
                    n % 11 == 3 ? 2 : 1,
                    1,
                    pinned ? Math.min(slots.size() - 1, n + 3) : -1,
                    0,
                    false,
                    false,
                    last && !pinned,
                    !plain && n % 7 == 2 && !pinned,
                    n % 5 == 0,
                    true,
                    plain || n % 3 != 0 ? null : slots.get(n).date(),
                    n % 15 == 13,
                    -1));
        }
        return new Stretch(slots, lessons, null, Weights.USUAL, usual, 0);
    }

    @Benchmark
    public Pacing optimum() {
        return Optimum.of(stretch);
    }
}
