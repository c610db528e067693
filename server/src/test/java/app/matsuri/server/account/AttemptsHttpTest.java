package app.matsuri.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import app.matsuri.server.ServerTest;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** Guessing names and passwords. */
@ServerTest
class AttemptsHttpTest {

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    private int tried(String signIn, String from) throws Exception {
        return mvc.perform(post("/api/session")
                        .with(csrf())
                        .with(request -> {
                            request.setRemoteAddr(from);
                            return request;
                        })
                        .param("signIn", signIn)
                        .param("password", "a guess"))
                .andReturn()
                .getResponse()
                .getStatus();
    }

    @Test
    void guessingIsHeldOffWhetherThereIsSuchAnAccountOrNot() throws Exception {
        accounts.create("guessed", "G. Uessed", "a password of some length");
        for (String name : List.of("guessed", "nobody-at-all")) {
            List<Integer> answers = new ArrayList<>();
            for (int i = 0; i < 8; i++) {
                answers.add(tried(name, "192.0.2." + name.length() + i));
            }
            assertThat(answers).as(name).containsExactly(401, 401, 401, 401, 401, 429, 429, 429);
        }
        for (int i = 0; i < Attempts.FREE_OF_ADDRESS; i++) {
            assertThat(tried("somebody-" + i, "192.0.2.200")).isEqualTo(401);
        }
        assertThat(tried("somebody-else", "192.0.2.200")).isEqualTo(429);
        assertThat(tried("somebody-else", "192.0.2.201")).as("from elsewhere").isEqualTo(401);
    }
}
