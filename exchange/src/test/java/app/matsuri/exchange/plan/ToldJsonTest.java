package app.matsuri.exchange.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.ToldSession;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What was told is read from a plan file and written back the same. */
class ToldJsonTest {

    private static PlanFile.Reading read(String told) {
        String file =
                "{\"matsuri\":1,\"term\":{\"first\":\"2026-08-31\",\"last\":\"2026-12-11\"},\"courses\":[{\"code\":\"C\","
                        + "\"title\":\"C\",\"sections\":[{\"code\":\"A\"," + told + "}]}]}";
        return PlanFile.read(file.getBytes(StandardCharsets.UTF_8));
    }

    private static Told told(PlanFile.Reading reading) {
        return reading.decisions().courses().get(0).sections().get(0).told();
    }

    @Test
    void sessionsAreKeptAsTheyWereTold() {
        PlanFile.Reading reading = read("\"told\":{\"L1\":\"2026-09-02\"},\"toldSessions\":{"
                + "\"2026-09-02T10:00\":{\"start\":\"2026-09-03T11:00\",\"end\":\"2026-09-03T11:50\",\"place\":\"Weir House 2\","
                + "\"lessons\":[{\"id\":\"L1\",\"title\":\"Sources, then\"},{\"id\":\"gone\"}]},"
                + "\"2026-08-31T10:00\":{\"start\":\"2026-08-31T10:00\",\"end\":\"2026-08-31T10:50\"}}");
        assertThat(reading.faults()).isEmpty();
        Told told = told(reading);
        assertThat(told.lessons()).containsEntry("L1", LocalDate.of(2026, 9, 2));
        assertThat(told.sessions())
                .hasSize(2)
                .containsEntry(
                        LocalDateTime.of(2026, 9, 2, 10, 0),
                        new ToldSession(
                                LocalDateTime.of(2026, 9, 3, 11, 0),
                                LocalDateTime.of(2026, 9, 3, 11, 50),
                                "Weir House 2",
                                List.of(
                                        new ToldSession.OfLesson("L1", "Sources, then"),
                                        new ToldSession.OfLesson("gone", ""))));
        String written = PlanFile.write(reading.decisions());
        assertThat(told(PlanFile.read(written.getBytes(StandardCharsets.UTF_8))))
                .isEqualTo(told);
        assertThat(written).contains("\"toldSessions\"").contains("\"gone\"");
    }

    @Test
    void aFaultSaysWhereItIs() {
        PlanFile.Reading reading = read("\"toldSessions\":{\"soon\":{\"start\":\"2026-09-03T11:00\",\"end\":\"x\"},"
                + "\"2026-09-02T10:00\":{\"end\":\"2026-09-03T11:50\"}}");
        assertThat(reading.faults())
                .extracting(Fault::pointer)
                .containsExactlyInAnyOrder(
                        "/courses/0/sections/0/toldSessions/soon",
                        "/courses/0/sections/0/toldSessions/soon/end",
                        "/courses/0/sections/0/toldSessions/2026-09-02T10:00");
        assertThat(reading.faults()).extracting(Fault::message).anyMatch(m -> m.contains("“start” is missing"));
    }

    /** As files were before sessions were kept. */
    @Test
    void daysAloneAreReadToo() {
        PlanFile.Reading reading = read("\"told\":{\"L1\":\"2026-09-02T10:00\"}");
        assertThat(told(reading)).isEqualTo(Told.of(Map.of("L1", LocalDate.of(2026, 9, 2))));
    }
}
