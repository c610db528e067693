package app.matsuri.server.metrics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import app.matsuri.server.DemoTest;
import app.matsuri.server.ServerTest;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletResponse;

/** What is measured is told to who has the token, and to nobody else, signed in or not. */
class MetricsHttpTest extends DemoTest {

    private MockHttpServletResponse asked(String authorization) throws Exception {
        var request = get("/actuator/prometheus");
        return mvc.perform(authorization == null ? request : request.header("Authorization", authorization))
                .andReturn()
                .getResponse();
    }

    @Test
    void requestsPreviewsMailAndTheDatabaseAreMeasured() throws Exception {
        browser.post(at + "/proposals", ServerTest.FLOOD);
        MockHttpServletResponse told = asked("Bearer a-long-token");
        assertThat(told.getStatus()).isEqualTo(200);
        assertThat(told.getContentAsString())
                .contains("matsuri_mail_waiting 0.0", "matsuri_database_bytes ")
                .containsPattern("http_server_requests_seconds_count\\{.*uri=\"/api/terms/\\{termId}/proposals\"");
    }

    @Test
    void nobodyElseIsToldAnything() throws Exception {
        for (String given : new String[] {null, "Bearer ", "Bearer another", "Basic a-long-token"}) {
            assertThat(asked(given).getStatus()).as(given).isIn(401, 403);
        }
        assertThat(browser.get("/actuator/prometheus").status()).isIn(401, 403);
        assertThat(browser.get("/actuator/env").status()).isEqualTo(404);
    }
}
