package app.matsuri.server.findings;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.DemoTest;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What is wrong in the demo's term, and that what is offered mends it. */
class FindingsHttpTest extends DemoTest {

    private List<JsonNode> findings() throws Exception {
        List<JsonNode> all = new ArrayList<>();
        browser.get(at + "/findings").body().forEach(all::add);
        return all;
    }

    @Test
    void theBandCountsWhatTheListShows() throws Exception {
        List<JsonNode> all = findings();
        assertThat(all).isNotEmpty().allSatisfy(f -> {
            assertThat(f.path("severity").stringValue()).isIn("problem", "warning", "remark");
            assertThat(f.path("sentence").stringValue()).endsWith(".");
            assertThat(f.path("code").stringValue()).matches("[a-z]+(-[a-z]+)*");
        });
        assertThat(browser.get(at + "/standing").body().path("findings").asInt())
                .isEqualTo(all.size());
    }

    @Test
    void whatIsOfferedMakesTheFindingGoAway() throws Exception {
        int mended = 0;
        for (JsonNode finding : findings()) {
            if (!finding.has("mend")) {
                continue;
            }
            JsonNode proposal = browser.post(at + "/proposals", Json.write(finding.path("mend")))
                    .body();
            assertThat(proposal.path("goAway").toString())
                    .as(finding.path("sentence").stringValue() + " by " + finding.path("mend"))
                    .contains("\"id\":\"" + finding.path("id").stringValue() + "\"")
                    .contains(finding.path("code").stringValue());
            mended++;
        }
        assertThat(mended)
                .as("findings of the demo that are mended in one press")
                .isPositive();
    }
}
