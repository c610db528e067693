package app.matsuri.server.link;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.Base64;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * What the addresses of links are made with: a key beside the database, so that an address can be written again and whoever has the
 * database alone has no address. HMAC by RFC 2104 with SHA-256.
 */
@Component
public class LinkKey {

    private static final Logger LOG = LoggerFactory.getLogger(LinkKey.class);
    private static final int BYTES = 32;

    /** The name of its file in the data folder. */
    static final String NAME = "links.key";

    private final byte[] key;

    /** @param data the data folder; empty for a key that goes with this process */
    public LinkKey(@Value("${matsuri.data:}") String data) {
        this.key = data.isEmpty() ? fresh() : kept(Path.of(data).resolve(NAME));
    }

    private static byte[] fresh() {
        byte[] key = new byte[BYTES];
        new SecureRandom().nextBytes(key);
        return key;
    }

    /** The key in the file, made where there is none. */
    private static byte[] kept(Path file) {
        try {
            if (!Files.exists(file)) {
                make(file);
            }
            byte[] key = Files.readAllBytes(file);
            if (key.length != BYTES) {
                throw new IllegalStateException(file + " is no key of links: it has " + key.length + " bytes and not "
                        + BYTES + ". Bring it back from a backup, or remove it: links that were given out work on,"
                        + " their addresses cannot be shown again until each is made anew.");
            }
            return key;
        } catch (IOException e) {
            throw new UncheckedIOException("the key of links cannot be read or made: " + file, e);
        }
    }

    private static void make(Path file) throws IOException {
        Files.createDirectories(file.toAbsolutePath().getParent());
        Path draft = Files.createTempFile(file.toAbsolutePath().getParent(), NAME, ".new");
        Files.write(draft, fresh());
        try {
            Files.setPosixFilePermissions(draft, PosixFilePermissions.fromString("rw-------"));
        } catch (UnsupportedOperationException e) {
            LOG.warn("{} can be read by whoever may read the data folder: {}", file, e.getMessage());
        }
        try {
            Files.move(draft, file, StandardCopyOption.ATOMIC_MOVE);
        } catch (FileAlreadyExistsException e) {
            Files.delete(draft); // another server was first
        }
    }

    /** What the address of a link ends with. */
    String token(PublicLink link) {
        return sign("link " + link.id + " " + link.generation);
    }

    /** What shows that words were written here, and not by somebody who made them up. */
    public String sign(String words) {
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(key, "HmacSHA256"));
            byte[] of = words.getBytes(StandardCharsets.UTF_8);
            return Base64.getUrlEncoder().withoutPadding().encodeToString(mac.doFinal(of));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Whether two are the same, found out in the same time wherever they differ. */
    public static boolean same(String one, String other) {
        return MessageDigest.isEqual(one.getBytes(StandardCharsets.UTF_8), other.getBytes(StandardCharsets.UTF_8));
    }
}
