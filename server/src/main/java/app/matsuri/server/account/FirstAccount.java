package app.matsuri.server.account;

import app.matsuri.server.http.Problem;
import app.matsuri.server.settings.MatsuriProperties;
import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.Locale;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The first account of an empty server: made by who sees what the start prints, once. */
@Component
class FirstAccount {

    private static final Logger LOG = LoggerFactory.getLogger(FirstAccount.class);

    /** Without letters and digits that look alike. */
    private static final String LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private static final int LENGTH = 8;

    private final EntityManager entities;
    private final Accounts accounts;
    private final Clock clock;
    private final boolean demo;
    private final String code;

    FirstAccount(EntityManager entities, Accounts accounts, Clock clock, MatsuriProperties settings) {
        this.entities = entities;
        this.accounts = accounts;
        this.clock = clock;
        this.demo = settings.demo() != null;
        this.code = settings.firstCode() != null ? settings.firstCode() : fresh();
    }

    private static String fresh() {
        SecureRandom random = new SecureRandom();
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < LENGTH; i++) {
            code.append(i == LENGTH / 2 ? "-" : "").append(LETTERS.charAt(random.nextInt(LETTERS.length())));
        }
        return code.toString();
    }

    @EventListener(ApplicationReadyEvent.class)
    void say() {
        if (!demo && accounts.none()) {
            LOG.info("There is no account yet. The first one is made on the page with the code {}", code);
        }
    }

    private static String plain(String given) {
        return given.replaceAll("[^A-Za-z0-9]", "").toUpperCase(Locale.ROOT);
    }

    /**
     * Makes it.
     *
     * @throws Problem when there is one, or the code is another
     */
    @Transactional
    public SignedIn make(String given, String signIn, String displayName, String password) {
        if (!accounts.none()) {
            throw there();
        }
        byte[] typed = plain(given).getBytes(StandardCharsets.UTF_8);
        if (!MessageDigest.isEqual(typed, plain(code).getBytes(StandardCharsets.UTF_8))) {
            throw new Problem(
                    HttpStatus.FORBIDDEN,
                    "first-code-wrong",
                    "That is not the code",
                    "The first account is made with the code that the server printed when it started, such as"
                            + " ABCD-2345. Look there and type it again.");
        }
        // several at once: the key lets one of them through
        int first = entities.createNativeQuery(
                        "insert into first_account (id, made_at) select 1, :at where not exists (select 1 from first_account)")
                .setParameter("at", Instant.now(clock))
                .executeUpdate();
        if (first == 0) {
            throw there();
        }
        return accounts.create(signIn, displayName, password);
    }

    private static Problem there() {
        return new Problem(
                HttpStatus.CONFLICT,
                "first-account-exists",
                "There is an account already",
                "The first account was made before. Sign in with it.");
    }
}
