package app.matsuri.exchange.bundle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.exchange.file.Unreadable;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Bundles out and in, and what is no bundle. */
class BundleTest {

    private static final byte[] SHEET = "depth, width, speed".getBytes(StandardCharsets.UTF_8);
    private static final String ID = Bundle.digest(SHEET);

    @TempDir
    Path folder;

    private Path zip(Map<String, byte[]> parts) throws IOException {
        Path file = Files.createTempFile(folder, "b", ".zip");
        try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(file))) {
            for (Map.Entry<String, byte[]> part : parts.entrySet()) {
                out.putNextEntry(new ZipEntry(part.getKey()));
                out.write(part.getValue());
                out.closeEntry();
            }
        }
        return file;
    }

    private static Map<String, byte[]> parts() {
        Map<String, byte[]> parts = new LinkedHashMap<>();
        String table = "{\"matsuriBundle\":1,\"files\":[{\"file\":\"" + ID + "\",\"name\":\"Sheet.csv\"}]}";
        parts.put("bundle.json", table.getBytes(StandardCharsets.UTF_8));
        parts.put("plan.json", "{}".getBytes(StandardCharsets.UTF_8));
        parts.put("files/" + ID, SHEET);
        return parts;
    }

    @Test
    void whatWasWrittenIsReadBack() throws IOException {
        Path file = folder.resolve("term.zip");
        try (OutputStream out = Files.newOutputStream(file)) {
            Bundle.write("{ \"matsuri\": 1 }", Map.of(ID, "Sheet.csv"), id -> SHEET, "[]", out);
        }
        try (Bundle bundle = Bundle.open(file)) {
            assertThat(bundle.plan()).asString().isEqualTo("{ \"matsuri\": 1 }");
            assertThat(bundle.files()).isEqualTo(Map.of(ID, "Sheet.csv"));
            assertThat(bundle.file(ID)).isEqualTo(SHEET);
            assertThat(bundle.history()).contains("[]");
        }
    }

    private void refused(Map<String, byte[]> parts, String why) throws IOException {
        Path file = zip(parts);
        assertThatThrownBy(() -> {
                    try (Bundle bundle = Bundle.open(file)) {
                        bundle.plan();
                        bundle.history();
                        for (String id : bundle.files().keySet()) {
                            bundle.file(id);
                        }
                    }
                })
                .isInstanceOf(Unreadable.class)
                .hasMessageContaining(why)
                .hasMessageContaining("Nothing was stored");
    }

    @Test
    void pathTricksAndPartsThatDoNotBelongAreRefused() throws IOException {
        for (String name :
                new String[] {"../evil.sh", "/etc/passwd", "files/../../x", "files/short", "plan.json/x", "a\\b"}) {
            Map<String, byte[]> parts = parts();
            parts.put(name, SHEET);
            refused(parts, "does not belong");
        }
    }

    @Test
    void bombsAreRefusedWhileTheyUnpack() throws IOException {
        Map<String, byte[]> plan = parts();
        plan.put("plan.json", new byte[9 * 1024 * 1024]);
        refused(plan, "unpacks to more than 8 MB");
        Map<String, byte[]> file = parts();
        file.put("files/" + ID, new byte[11 * 1024 * 1024]);
        refused(file, "unpacks to more than 10 MB");
    }

    @Test
    void aFileThatIsNotWhatItsNameSaysOrIsMissingIsRefused() throws IOException {
        Map<String, byte[]> other = parts();
        other.put("files/" + ID, "other".getBytes(StandardCharsets.UTF_8));
        refused(other, "not the one that was put in");
        Map<String, byte[]> missing = parts();
        missing.remove("files/" + ID);
        refused(missing, "lacks its file “Sheet.csv”");
    }

    @Test
    void whatIsNoBundleSaysSo() throws IOException {
        Map<String, byte[]> none = parts();
        none.remove("plan.json");
        refused(none, "is no bundle");
        Map<String, byte[]> newer = parts();
        newer.put("bundle.json", "{\"matsuriBundle\":2}".getBytes(StandardCharsets.UTF_8));
        refused(newer, "newer version");
        Path text = Files.writeString(folder.resolve("x.zip"), "not a zip");
        assertThatThrownBy(() -> Bundle.open(text)).isInstanceOf(Unreadable.class);
    }
}
