package app.matsuri.server.colleague;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;

/** What the link of an invitation ends with; only its hash is kept. */
final class InvitationToken {

    private static final SecureRandom RANDOM = new SecureRandom();

    private InvitationToken() {}

    /** One that nobody can guess. */
    static String fresh() {
        byte[] random = new byte[24];
        RANDOM.nextBytes(random);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(random);
    }

    /** What is kept of one, in hexadecimal. */
    static String hash(String token) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
