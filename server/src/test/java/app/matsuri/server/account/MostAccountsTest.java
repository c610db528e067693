package app.matsuri.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.server.ServerTest;
import app.matsuri.server.http.Problem;
import app.matsuri.server.settings.MatsuriProperties;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.security.crypto.password.NoOpPasswordEncoder;
import org.springframework.transaction.annotation.Transactional;

/** A server has so many accounts and no more, and room again when one is closed. */
@ServerTest
class MostAccountsTest {

    @Autowired
    EntityManager entities;

    @Autowired
    Clock clock;

    @Test
    @Transactional
    @SuppressWarnings("deprecation") // nobody signs in with these
    void thereIsRoomForSoManyAndAgainWhenOneIsClosed() {
        int open = entities.createQuery("select count(*) from Account where passwordHash <> '{closed}'", Long.class)
                .getSingleResult()
                .intValue();
        Accounts accounts = new Accounts(
                entities,
                NoOpPasswordEncoder.getInstance(),
                clock,
                new MatsuriProperties(null, null, "data", 7, null, 4, open + 1));
        assertThat(accounts.full()).isFalse();
        SignedIn last = accounts.create("the last one", "L. Ast", "lantern-paper");
        assertThat(accounts.full()).isTrue();
        assertThatThrownBy(() -> accounts.create("one more", "M. Ore", "lantern-paper"))
                .isInstanceOf(Problem.class)
                .hasMessageContaining("as many as it is set to have");
        assertThat(accounts.known("one more")).isFalse();
        accounts.close(last);
        entities.flush();
        assertThat(accounts.full()).isFalse();
    }
}
