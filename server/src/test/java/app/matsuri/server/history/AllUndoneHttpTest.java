package app.matsuri.server.history;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import app.matsuri.server.change.EveryChangeHttpTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
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

    @Test
    void thePlanFileIsTheSameAgain() throws Exception {
        List<String> kinds = EveryChangeHttpTest.changes()
                .filter(c -> !c.contains("remove-course") && !c.contains("remove-section"))
                .toList();
        String first = browser.plan(term);
        List<String> steps = new ArrayList<>(List.of(first));
        long version = 1;
        for (int tried = 0; steps.size() <= STEPS && tried < STEPS * 8; tried++) {
            Browser.Answer made = browser.change(term, version, change(kinds, tried));
            assertThat(made.status()).isLessThan(500);
            long now = made.status() == 200 ? made.body().path("version").asLong() : version;
            if (now > version) { // what changes nothing is no step
                version = now;
                steps.add(steps.size() % 50 == 0 ? browser.plan(term) : "");
            }
        }
        assertThat(steps).as("changes that could be made").hasSizeGreaterThan(STEPS);
        String last = browser.plan(term);
        assertThat(PlanFile.read(last).faults())
                .as("reads back without a remark")
                .isEmpty();
        for (int n = steps.size() - 1; n > 0; n--) {
            same(steps.get(n), "before step " + n + " is undone");
            version = step("undo", version);
        }
        assertThat(browser.plan(term)).isEqualTo(first);
        for (int n = 1; n < steps.size(); n++) {
            version = step("redo", version);
            same(steps.get(n), "step " + n + " again");
        }
        assertThat(browser.plan(term)).isEqualTo(last);
    }

    private void same(String plan, String when) throws Exception {
        if (!plan.isEmpty()) {
            assertThat(browser.plan(term)).as(when).isEqualTo(plan);
        }
    }

    private long step(String which, long version) throws Exception {
        Browser.Answer answer =
                browser.post(at + "/" + which, Json.MAPPER.writeValueAsString(java.util.Map.of("version", version)));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body().path("version").asLong();
    }
}
