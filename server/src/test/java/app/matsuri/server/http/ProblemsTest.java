package app.matsuri.server.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;

import java.io.IOException;
import org.apache.catalina.connector.ClientAbortException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.boot.test.system.CapturedOutput;
import org.springframework.boot.test.system.OutputCaptureExtension;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;

@ExtendWith(OutputCaptureExtension.class)
class ProblemsTest {

    private final Problems problems = new Problems(mock(Stuck.class));
    private final MockHttpServletRequest request = new MockHttpServletRequest("GET", "/api/terms/1/wall");

    @Test
    void whoLeavesThePageInTheMiddleOfAnAnswerIsNoFault(CapturedOutput log) throws Exception {
        IOException reset = new IOException("Connection reset by peer");
        for (Exception gone : new Exception[] {
            new AsyncRequestNotUsableException("not usable", reset),
            new ClientAbortException(reset),
            new HttpMessageNotWritableException(
                    "Could not write JSON", new AsyncRequestNotUsableException("not usable", reset))
        }) {
            assertThat(problems.unexpected(gone, request)).isNull();
        }
        assertThat(log.getAll()).doesNotContain("reset");
    }

    @Test
    void aConnectionThatBreaksElsewhereIsOne(CapturedOutput log) throws Exception {
        var answer = problems.unexpected(new IOException("Connection reset by peer"), request);
        assertThat(answer).isNotNull();
        assertThat(answer.getStatusCode().value()).isEqualTo(500);
        assertThat(log.getAll()).contains("unexpected").contains("Connection reset by peer");
    }
}
