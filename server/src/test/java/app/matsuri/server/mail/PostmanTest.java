package app.matsuri.server.mail;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.reset;

import app.matsuri.server.account.Accounts;
import app.matsuri.server.mail.Carrier.NotTaken;
import app.matsuri.server.mail.Letter.State;
import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import jakarta.mail.internet.MimeMessage;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.bean.override.mockito.MockitoSpyBean;
import org.springframework.transaction.support.TransactionTemplate;

/** Letters by SMTP (RFC 5321), against GreenMail: each once, again where a server is down, and said where it is not known. */
@Tag("database")
@SpringBootTest(
        properties = {
            "matsuri.test.name=mail",
            "matsuri.today=2026-10-07",
            "matsuri.mail.host=localhost",
            "spring.task.scheduling.pool.size=1"
        })
class PostmanTest {

    private static final GreenMail SERVER = new GreenMail(new ServerSetup(0, "localhost", ServerSetup.PROTOCOL_SMTP));

    @DynamicPropertySource
    static void port(DynamicPropertyRegistry registry) {
        SERVER.start();
        registry.add("matsuri.mail.port", () -> SERVER.getSmtp().getPort());
    }

    @Autowired
    Letters letters;

    @Autowired
    Postman postman;

    @Autowired
    Accounts accounts;

    @Autowired
    EntityManager entities;

    @Autowired
    TransactionTemplate step;

    @Autowired
    Clock clock;

    @MockitoSpyBean
    Carrier carrier;

    private long workspace;

    @BeforeEach
    void somebody() throws Exception {
        SERVER.purgeEmailFromAllMailboxes();
        workspace = accounts.create("mail" + System.nanoTime(), "A. Tolvanen", "a password of some length")
                .workspaceId();
    }

    @AfterEach
    void works() {
        reset(carrier);
    }

    private Letter letter(String to) {
        Letter letter = new Letter();
        letter.workspaceId = workspace;
        letter.recipient = to;
        letter.subject = "Feldbuch 5, fällig morgen";
        letter.body = "Hello Wren,\n\nField log 5 is due tomorrow.\n";
        letter.html = "<p>Hello Wren,</p>";
        letter.stopAddress = "https://matsuri.example/reminders/x.y";
        letter.moment = Instant.now(clock);
        letter.zone = "America/Chicago";
        return letters.write(letter);
    }

    private Letter now(Letter of) {
        return letters.of(workspace, of.id).orElseThrow();
    }

    private void set(Letter of, String what, Object... values) {
        step.executeWithoutResult(s -> {
            var update = entities.createQuery("update Letter set " + what + " where id = :i")
                    .setParameter("i", of.id);
            for (int k = 0; k < values.length; k++) {
                update.setParameter("v" + k, values[k]);
            }
            update.executeUpdate();
        });
    }

    @Test
    void aLetterGoesOutWithBothPartsAndOnePressToStop() throws Exception {
        Letter letter = letter("wren.oakes@quillmarsh.example");
        assertThat(now(letter).state).isEqualTo(State.WAITING);
        postman.round();
        assertThat(now(letter).state).isEqualTo(State.SENT);
        MimeMessage got = SERVER.getReceivedMessages()[0];
        assertThat(got.getSubject()).isEqualTo("Feldbuch 5, fällig morgen");
        assertThat(got.getContentType()).startsWith("multipart/");
        assertThat(got.getHeader("List-Unsubscribe")).containsExactly("<" + letter.stopAddress + ">");
        assertThat(got.getHeader("List-Unsubscribe-Post")).containsExactly("List-Unsubscribe=One-Click");
        postman.round();
        assertThat(SERVER.getReceivedMessages()).as("once").hasSize(1);
    }

    @Test
    void ofManyWhoSendAtOnceEachLetterGoesOutOnce() throws Exception {
        List<Letter> all = new ArrayList<>();
        for (int k = 0; k < 60; k++) {
            all.add(letter("student" + k + "@quillmarsh.example"));
        }
        ExecutorService servers = Executors.newFixedThreadPool(4);
        try {
            List<Callable<Integer>> rounds = List.of(postman::round, postman::round, postman::round, postman::round);
            int taken = 0;
            for (Future<Integer> one : servers.invokeAll(rounds)) {
                taken += one.get();
            }
            assertThat(taken).isEqualTo(60);
        } finally {
            servers.shutdownNow();
        }
        assertThat(SERVER.getReceivedMessages()).hasSize(60);
        assertThat(all).allMatch(letter -> now(letter).state == State.SENT);
    }

    @Test
    void whereTheServerIsDownItIsTriedAgainAfterOneFiveAndTwentyFiveMinutesAndThenSaid() throws Exception {
        Letter letter = letter("hedy.larkspur@quillmarsh.example");
        doThrow(new NotTaken("connection refused", new IllegalStateException()))
                .when(carrier)
                .take(any());
        for (int minutes : new int[] {1, 5, 25}) {
            postman.round();
            Letter after = now(letter);
            assertThat(after.state).isEqualTo(State.WAITING);
            assertThat(after.fault).isEqualTo("connection refused");
            assertThat(ChronoUnit.SECONDS.between(Instant.now(clock), after.nextTry))
                    .isBetween(minutes * 60L - 20, minutes * 60L);
            set(letter, "nextTry = :v0", Instant.now(clock));
        }
        postman.round();
        assertThat(now(letter).state).isEqualTo(State.FAILED);
        reset(carrier);
        letters.again(workspace, letter.id);
        postman.round();
        assertThat(now(letter).state).as("by hand, once more").isEqualTo(State.SENT);
    }

    @Test
    void oneAddressThatIsRefusedHoldsNobodyElseUp() throws Exception {
        Letter bad = letter("not an address");
        Letter good = letter("wren.oakes@quillmarsh.example");
        postman.round();
        assertThat(now(good).state).isEqualTo(State.SENT);
        assertThat(now(bad).state).isEqualTo(State.WAITING);
        assertThat(now(bad).fault).isNotBlank();
    }

    @Test
    void whatWasClaimedByAServerThatWasKilledIsNotSentTwiceAndSaysSo() {
        Letter letter = letter("wren.oakes@quillmarsh.example");
        set(letter, "state = SENDING, changedAt = :v0", Instant.now(clock).minus(11, ChronoUnit.MINUTES));
        postman.round();
        assertThat(now(letter).state).isEqualTo(State.UNSURE);
        assertThat(SERVER.getReceivedMessages()).isEmpty();
    }
}
