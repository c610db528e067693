package app.matsuri.server.command;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import app.matsuri.server.account.Accounts;
import jakarta.servlet.http.Cookie;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.MvcResult;

/** Accounts locked, opened again and given another password by whoever runs the server. */
@ServerTest
class AdministrationTest {

    private static final String PASSWORD = "a password of some length";

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    @Autowired
    Commands commands;

    private String name;

    @BeforeEach
    void make() {
        name = "wren" + System.nanoTime();
        accounts.create(name, "W. Oakes", PASSWORD);
    }

    private MvcResult signIn(String password) throws Exception {
        return mvc.perform(
                        post("/api/session").with(csrf()).param("signIn", name).param("password", password))
                .andReturn();
    }

    private Cookie session() throws Exception {
        return Browser.cookie(signIn(PASSWORD).getResponse());
    }

    private Commands.Result admin(String... words) {
        List<String> arguments = new ArrayList<>(List.of("admin"));
        arguments.addAll(List.of(words));
        return commands.run(arguments);
    }

    private boolean in(Cookie session) throws Exception {
        return Browser.in(mvc, session);
    }

    @Test
    void whoIsLockedIsOutAtOnceAndHearsWhatAStrangerHears() throws Exception {
        Cookie session = session();
        assertThat(in(session)).isTrue();
        assertThat(admin("lock", name).status()).isZero();
        assertThat(in(session)).isFalse();
        MvcResult out = signIn(PASSWORD);
        assertThat(out.getResponse().getStatus()).isEqualTo(401);
        assertThat(out.getResponse().getContentAsString()).contains("do not belong together");
        assertThat(admin("accounts").out()).containsPattern(name + "\tW. Oakes\tlocked\t0\t");
        assertThat(admin("unlock", name).status()).isZero();
        assertThat(signIn(PASSWORD).getResponse().getStatus()).isEqualTo(204);
    }

    @Test
    void anotherPasswordIsPrintedOnceAndEndsWhatWasOpen() throws Exception {
        Cookie session = session();
        String other = admin("reset", name).out().strip();
        assertThat(in(session)).isFalse();
        assertThat(signIn(PASSWORD).getResponse().getStatus()).isEqualTo(401);
        assertThat(signIn(other).getResponse().getStatus()).isEqualTo(204);
    }

    @Test
    void whatIsThereIsCountedAndWhatIsNoneIsSaid() {
        assertThat(admin("statistics").out()).containsPattern("accounts\t[1-9]").contains("bytes of the database\t");
        assertThat(admin("lock", "nobody").err()).contains("There is no account “nobody”");
        for (List<String> wrong : List.of(List.of("lock"), List.of("delete", name, "--for", "x"), List.<String>of())) {
            assertThat(admin(wrong.toArray(String[]::new)).err()).startsWith("Usage:");
        }
    }

    @Test
    void anAccountIsDeletedAndItsTermsGoToAnother() throws Exception {
        Browser other = Browser.of(mvc, accounts);
        Browser leaves = Browser.of(mvc, accounts);
        long term = leaves.open(Browser.demo());
        String gone = leaves.person().signIn();
        assertThat(admin("delete", gone).err()).contains("Say who has them");
        assertThat(admin("delete", gone, "--to", "nobody at all").err()).contains("There is no account");
        String plan = leaves.plan(term);
        assertThat(admin("delete", gone, "--to", other.person().signIn()).status())
                .isZero();
        assertThat(leaves.get("/api/me").status()).isEqualTo(401);
        assertThat(other.plan(term)).isEqualTo(plan);
        assertThat(other.get("/api/terms/" + term + "/history").body().toString())
                .contains("Closed account")
                .doesNotContain(leaves.person().displayName());
        assertThat(accounts.find(gone)).isEmpty();
    }
}
