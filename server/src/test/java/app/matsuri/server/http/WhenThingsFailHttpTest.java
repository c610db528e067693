package app.matsuri.server.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.reset;

import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import app.matsuri.server.SpiedTest;
import app.matsuri.server.history.History;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.test.util.AopTestUtils;

/** What stands outside fails: a plain answer, nothing of the inside in it, and nothing stored by half. */
class WhenThingsFailHttpTest extends SpiedTest {

    private static final String INSIDE = "disk at /srv/secret is full";

    @AfterEach
    void works() {
        reset(history, letters, book);
    }

    private static RuntimeException full() {
        return new DataAccessResourceFailureException(INSIDE);
    }

    private static void plain(Browser.Answer answer) throws Exception {
        assertThat(answer.status()).isEqualTo(500);
        assertThat(answer.body().path("title").stringValue()).isNotBlank();
        assertThat(answer.response().getContentAsString())
                .doesNotContain(INSIDE)
                .doesNotContain("Exception")
                .doesNotContain("app.matsuri");
    }

    @Test
    void aChangeWhoseLineOfHistoryCannotBeWrittenIsNotStored() throws Exception {
        String before = browser.plan(term);
        doThrow(full())
                .when(AopTestUtils.<History>getTargetObject(history))
                .append(anyLong(), any(), any(), any(), anyString(), any());
        plain(browser.change(term, 1, ServerTest.FLOOD));
        assertThat(browser.plan(term)).isEqualTo(before);
        assertThat(browser.get(at + "/standing").body().path("version").asLong())
                .isEqualTo(1);
        reset(history);
        assertThat(browser.change(term, 1, ServerTest.FLOOD).status())
                .as("made again when it works again")
                .isEqualTo(200);
    }

    @Test
    void anInvitationWhoseMailCannotBeSentInvitesNobody() throws Exception {
        doThrow(full()).when(letters).write(anyLong(), any(), anyString(), anyString(), anyString());
        plain(browser.post(
                at + "/colleagues", "{\"role\":\"reader\",\"name\":\"B. Sayer\",\"mail\":\"b@quillmarsh.example\"}"));
        assertThat(browser.get(at + "/colleagues").body().size()).isZero();
        assertThat(browser.get("/api/outbox").body().size()).isZero();
    }

    @Test
    void aGradeBookThatDoesNotAnswerLeavesThePlanReadable() throws Exception {
        doThrow(full()).when(book).of(anyLong());
        plain(browser.post(at + "/proposals?view=wall", ServerTest.FLOOD));
        assertThat(browser.get(at + "/wall").status()).isEqualTo(200);
        assertThat(browser.get(at + "/dates").status()).isEqualTo(200);
    }
}
