package app.matsuri.server.account;

import app.matsuri.server.http.Problem;
import app.matsuri.server.settings.Tokens;
import com.bastiaanjansen.otp.SecretGenerator;
import com.bastiaanjansen.otp.TOTPGenerator;
import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import jakarta.persistence.EntityManager;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * A second factor: codes of six digits that a person's phone works out from a key and the time, by RFC 6238 with the usual half
 * minutes; and codes on paper for when the phone is lost. Times are the machine's.
 */
@Component
public class SecondFactor {

    private static final Duration STEP = Duration.ofSeconds(30);

    /** How many half minutes a phone's clock may be off. */
    private static final int OFF = 1;

    private static final int RECOVERY_CODES = 10;

    /** Letters and digits that are not taken for each other. */
    private static final String LETTERS = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789";

    private static final SecureRandom RANDOM = new SecureRandom();

    private final EntityManager entities;
    private final Clock machine;

    SecondFactor(EntityManager entities, @Qualifier("machine") Clock machine) {
        this.entities = entities;
        this.machine = machine;
    }

    /**
     * A key that waits for its first code.
     *
     * @param key in base 32, to be typed
     * @param address the same as a phone reads it
     * @param picture the address as a QR code: the path of an SVG, its dark squares
     * @param size of the picture, in squares
     */
    public record Begun(String key, String address, String picture, int size) {}

    /** How a person's stands. */
    record Stands(boolean on, int codesLeft) {}

    @Transactional(readOnly = true)
    Stands of(SignedIn by) {
        long left = entities.createQuery("select count(*) from RecoveryCode where accountId = :a", Long.class)
                .setParameter("a", by.accountId())
                .getSingleResult();
        return new Stands(account(by).factorKey != null, (int) left);
    }

    private Account account(SignedIn by) {
        return entities.find(Account.class, by.accountId());
    }

    /** Makes a key; it counts when a code of it was typed. */
    @Transactional
    Begun begin(SignedIn by) {
        String key = new String(SecretGenerator.generate(), StandardCharsets.US_ASCII);
        account(by).factorBegun = key;
        try {
            String address = codes(key).getURI("Matsuri", by.signIn()).toString();
            BitMatrix squares =
                    new QRCodeWriter().encode(address, BarcodeFormat.QR_CODE, 0, 0, Map.of(EncodeHintType.MARGIN, 2));
            return new Begun(key, address, path(squares), squares.getWidth());
        } catch (URISyntaxException | WriterException e) {
            throw new IllegalStateException("no address of a second factor", e);
        }
    }

    private static String path(BitMatrix squares) {
        StringBuilder path = new StringBuilder();
        for (int y = 0; y < squares.getHeight(); y++) {
            for (int x = 0; x < squares.getWidth(); x++) {
                if (squares.get(x, y)) {
                    path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                }
            }
        }
        return path.toString();
    }

    /**
     * Turns it on.
     *
     * @return the codes for when the phone is lost, which are not told again
     * @throws Problem where the code is none of the key's
     */
    @Transactional
    List<String> confirm(SignedIn by, String code) {
        Account account = account(by);
        String begun = account.factorBegun;
        if (begun == null) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "second-factor-not-begun",
                    "Begin anew",
                    "There is no key that waits for a code. Begin anew. Nothing was changed.");
        }
        long step = step(begun, code, 0);
        if (step < 0) {
            throw new Problem(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "wrong-code",
                    "That is not the code",
                    "The code is none of this key now. Look at the phone again; its clock has to be right. Nothing was"
                            + " changed.");
        }
        account.factorKey = begun;
        account.factorBegun = null;
        account.factorStep = step;
        forget(by.accountId());
        List<String> codes = Stream.generate(SecondFactor::recoveryCode)
                .limit(RECOVERY_CODES)
                .toList();
        codes.forEach(c -> entities.persist(new RecoveryCode(by.accountId(), Tokens.hash(plain(c)))));
        return codes;
    }

    /** Turns it off. */
    @Transactional
    public void end(SignedIn by) {
        Account account = account(by);
        account.factorKey = null;
        account.factorBegun = null;
        forget(by.accountId());
    }

    private void forget(long accountId) {
        entities.createQuery("delete from RecoveryCode where accountId = :a")
                .setParameter("a", accountId)
                .executeUpdate();
    }

    /** Whether a person signs in with one. */
    @Transactional(readOnly = true)
    boolean wanted(SignedIn by) {
        return account(by).factorKey != null;
    }

    /** Whether a code is right; each is taken once. */
    @Transactional
    boolean taken(SignedIn by, String code) {
        Account account = account(by);
        String key = account.factorKey;
        if (key == null) {
            return true;
        }
        long step = step(key, code, account.factorStep);
        if (step >= 0) {
            // of two at once, one is first
            return entities.createQuery("update Account set factorStep = :s where id = :a and factorStep < :s")
                            .setParameter("s", step)
                            .setParameter("a", by.accountId())
                            .executeUpdate()
                    == 1;
        }
        return entities.createQuery("delete from RecoveryCode where accountId = :a and hash = :h")
                        .setParameter("a", by.accountId())
                        .setParameter("h", Tokens.hash(plain(code)))
                        .executeUpdate()
                == 1;
    }

    /** The half minute of which a code is, after another; -1 for none. */
    private long step(String key, String code, long after) {
        String typed = plain(code);
        long now = Instant.now(machine).getEpochSecond() / STEP.toSeconds();
        for (long step = now - OFF; step <= now + OFF; step++) {
            if (step > after && codes(key).at(step * STEP.toSeconds()).equals(typed)) {
                return step;
            }
        }
        return -1;
    }

    private static TOTPGenerator codes(String key) {
        return new TOTPGenerator.Builder(key).build();
    }

    private static String recoveryCode() {
        StringBuilder code = new StringBuilder();
        for (int n = 0; n < 12; n++) {
            code.append(n > 0 && n % 4 == 0 ? "-" : "").append(LETTERS.charAt(RANDOM.nextInt(LETTERS.length())));
        }
        return code.toString();
    }

    private static String plain(@Nullable String code) {
        return code == null ? "" : code.replaceAll("[^A-Za-z0-9]", "").toUpperCase(Locale.ROOT);
    }
}
