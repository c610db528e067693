package app.matsuri.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The files that tests read. */
public final class Files {

    private Files() {}

    /** "01" to "20". */
    public static Stream<String> examples() {
        return IntStream.rangeClosed(1, 20).mapToObj(n -> String.format("%02d", n));
    }

    public static String example(String name) {
        try (InputStream in = Files.class.getResourceAsStream("/examples/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A file of the demo. */
    public static Path demo(String name) {
        return Path.of("..", "demo", name);
    }
}
