package app.matsuri.bench;

import app.matsuri.core.plan.Decisions;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.exchange.plan.PlanFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
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

/** {@code Schedule.of}: the demo's course, the demo's whole term, and 6 courses with 1,000 items times 1, 2, 4, 8. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class ScheduleBench {

    @Param({"demo", "1", "2", "4", "8"})
    public String size;

    private Decisions plan;

    @Setup
    public void load() throws IOException {
        plan = size.equals("demo")
                ? PlanFile.read(Files.readAllBytes(Path.of("demo", "autumn-2026.json")))
                        .decisions()
                : Sizes.plan(6 * Integer.parseInt(size), 1000 * Integer.parseInt(size));
    }

    @Benchmark
    public Schedule schedule() {
        return Schedule.of(plan);
    }
}
