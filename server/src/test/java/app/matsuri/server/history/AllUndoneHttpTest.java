package app.matsuri.server.history;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import app.matsuri.server.change.EveryChangeHttpTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * Changes of every kind at random, then all undone, then all done again: the plan file is the first one and the last one
 * again, byte for byte. As many as {@code matsuri.steps} says, from the seed {@code matsuri.steps-seed}.
 */
class AllUndoneHttpTest extends DemoTest {

    private static final int STEPS = Integer.getInteger("matsuri.steps", 500);
    private static final long SEED = Long.getLong("matsuri.steps-seed", 7L);

    private static final List<String> LESSONS =
            List.of("CH2", "CH3", "SE2", "SE3", "SE4", "FL1", "FL2", "FL3", "RE1", "RE2");
    private static final List<String> ITEMS = List.of("log-6", "log-8", "log-9", "log-10", "quiz-2", "set-6", "report");

    private final Random random = new Random(SEED);

    private String any(List<String> of) {
        return of.get(random.nextInt(of.size()));
    }

    /** One of the kinds that there are, at another lesson, thing, day or section. */
    private String change(List<String> kinds, int n) {
        String day = String.format("2026-%02d-%02d", 10 + random.nextInt(2), 8 + random.nextInt(20));
        return any(kinds)
                .replace('\'', '"')
                .replaceAll("\"(?:CH2|SE2|SE7|FL2|FL3|FL4|FL5|CH1)\"", "\"" + any(LESSONS) + "\"")
                .replaceAll("\"(?:log-8|quiz-2)\"", "\"" + any(ITEMS) + "\"")
                .replace("\"section\":\"A\"", "\"section\":\"" + (random.nextBoolean() ? "A" : "B") + "\"")
                .replaceAll("2026-10-09|2026-11-09|2026-11-06|2026-10-17", day)
                .replace("Flood", "Flood " + n)
                .replace("\"RE9\"", "\"RE9" + n + "\"")
                .replace("\"essay\"", "\"essay" + n + "\"");
    }

    /** A term with its steps so far: the plan file behind each 50th, else empty. */
    private final class Steps {

        final long id;
        final List<String> plans = new ArrayList<>();
        long version = 1;
        String last = "";

        Steps(long id) throws Exception {
            this.id = id;
            plans.add(browser.plan(id));
        }

        /** Makes it where it can be made; what changes nothing is no step. */
        boolean make(String change) throws Exception {
            Browser.Answer made = browser.change(id, version, change);
            assertThat(made.status()).isLessThan(500);
            long now = made.status() == 200 ? made.body().path("version").asLong() : version;
            if (now == version) {
                return false;
            }
            version = now;
            plans.add(plans.size() % 50 == 0 ? browser.plan(id) : "");
            return true;
        }

        /** The plan is as it was after so many of its steps, where that was kept. */
        void same(int step) throws Exception {
            if (!plans.get(step).isEmpty()) {
                assertThat(browser.plan(id)).as("after step " + step).isEqualTo(plans.get(step));
            }
        }

        void step(String which) throws Exception {
            Browser.Answer answer = browser.post(
                    "/api/terms/" + id + "/" + which, Json.MAPPER.writeValueAsString(Map.of("version", version)));
            assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
            version = answer.body().path("version").asLong();
        }
    }

    /** Two terms of one person by turns; what takes out a section or a course comes last, as little is left to change behind it. */
    @Test
    void thePlanFileIsTheSameAgain() throws Exception {
        Map<Boolean, List<String>> kinds = EveryChangeHttpTest.changes()
                .collect(Collectors.partitioningBy(c -> c.contains("remove-course") || c.contains("remove-section")));
        List<Steps> terms = List.of(new Steps(term), new Steps(browser.open(Browser.demo())));
        int made = 0;
        for (int tried = 0; made < STEPS && tried < STEPS * 8; tried++) {
            made += terms.get(random.nextInt(2)).make(change(kinds.get(false), tried)) ? 1 : 0;
        }
        assertThat(made).as("changes that could be made").isEqualTo(STEPS);
        for (Steps one : terms) {
            for (String last : kinds.get(true)) {
                assertThat(one.make(last.replace('\'', '"'))).as(last).isTrue();
            }
            one.last = browser.plan(one.id);
            assertThat(PlanFile.read(one.last).faults())
                    .as("reads back without a remark")
                    .isEmpty();
        }
        int most = terms.stream().mapToInt(one -> one.plans.size()).max().orElseThrow();
        for (int n = most - 1; n > 0; n--) {
            for (Steps one : terms) {
                if (n < one.plans.size()) {
                    one.same(n);
                    one.step("undo");
                }
            }
        }
        for (Steps one : terms) {
            one.same(0);
        }
        for (int n = 1; n < most; n++) {
            for (Steps one : terms) {
                if (n < one.plans.size()) {
                    one.step("redo");
                    one.same(n);
                }
            }
        }
        for (Steps one : terms) {
            assertThat(browser.plan(one.id)).isEqualTo(one.last);
        }
    }
}
