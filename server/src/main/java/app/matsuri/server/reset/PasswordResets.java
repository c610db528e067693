package app.matsuri.server.reset;

import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.Sessions;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import app.matsuri.server.mail.Letters;
import app.matsuri.server.settings.Tokens;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Letters with which forgotten passwords are replaced: each works once, for half an hour. */
@Component
class PasswordResets {

    static final Duration WORKS = Duration.ofMinutes(30);

    private final EntityManager entities;
    private final Accounts accounts;
    private final Sessions sessions;
    private final Letters letters;
    private final Clock clock;

    PasswordResets(EntityManager entities, Accounts accounts, Sessions sessions, Letters letters, Clock clock) {
        this.entities = entities;
        this.accounts = accounts;
        this.sessions = sessions;
        this.letters = letters;
        this.clock = clock;
    }

    /** Writes to who signs in so, where that is somebody who gave an address for mail; nobody is told whether it was. */
    @Transactional
    void ask(String signIn) {
        accounts.find(signIn).filter(by -> !accounts.mail(by).isEmpty()).ifPresent(by -> {
            entities.createQuery("delete from PasswordReset where accountId = :a or madeAt < :limit")
                    .setParameter("a", by.accountId())
                    .setParameter("limit", Instant.now(clock).minus(WORKS))
                    .executeUpdate();
            String token = Tokens.fresh();
            PasswordReset reset = new PasswordReset();
            reset.hash = Tokens.hash(token);
            reset.accountId = by.accountId();
            reset.madeAt = Instant.now(clock);
            entities.persist(reset);
            letters.write(by.workspaceId(), ZoneOffset.UTC, accounts.mail(by), "Another password", """
                    Somebody asked for another password for “%s” at Matsuri. If it was you, choose one here within %d minutes; \
                    the address works once:

                    %s/password-reset/%s

                    If it was not you, nothing has to be done: your password is as it was.
                    """.formatted(
                            by.signIn(), WORKS.toMinutes(), letters.address(), token));
        });
    }

    /** Whose password the address replaces; empty for nobody's any more. */
    @Transactional(readOnly = true)
    Optional<SignedIn> of(String token) {
        return Optional.ofNullable(entities.find(PasswordReset.class, Tokens.hash(token)))
                .filter(reset -> reset.madeAt.plus(WORKS).isAfter(Instant.now(clock)))
                .map(reset -> accounts.byId(reset.accountId));
    }

    /**
     * Replaces the password and signs the person out everywhere.
     *
     * @throws Problem where the address does not work any more
     */
    @Transactional
    SignedIn replace(String token, String password) {
        SignedIn by = of(token).orElseThrow(PasswordResets::over);
        int first = entities.createQuery("delete from PasswordReset where hash = :h")
                .setParameter("h", Tokens.hash(token))
                .executeUpdate();
        if (first == 0) {
            throw over();
        }
        accounts.reset(by, password);
        sessions.endAll(by);
        return by;
    }

    static Problem over() {
        return new Problem(
                HttpStatus.NOT_FOUND,
                "password-reset-over",
                "This address does not work any more",
                "It works once, for half an hour after it was asked for. Ask for another letter. Nothing was changed.");
    }
}
