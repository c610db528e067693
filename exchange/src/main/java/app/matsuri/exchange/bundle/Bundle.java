package app.matsuri.exchange.bundle;

import app.matsuri.core.calendar.Known;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.PlanFile;
import java.io.ByteArrayOutputStream;
import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Collections;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/**
 * A plan with what belongs to it, as one .zip: {@code bundle.json} names the attached files, {@code plan.json} is the plan file,
 * with what students were told, {@code files/} has each attached file under the SHA-256 of its content, and {@code history.json}, where
 * it was asked for, the history. Only these parts are read; each is counted while it is unpacked.
 */
public final class Bundle implements Closeable {

    /** The most that one attached file may have, in bytes: 10 MB. */
    public static final int MOST_FILE = 10 * 1024 * 1024;

    private static final long MOST_UNPACKED = 300_000_000;
    private static final int MOST_HISTORY = 60_000_000;
    private static final int MOST_PARTS = 2_000;
    private static final Pattern FILE = Pattern.compile("files/[0-9a-f]{64}");
    private static final List<String> PARTS = List.of("bundle.json", "plan.json", "history.json");

    private final ZipFile zip;
    private final Map<String, ZipArchiveEntry> entries = new LinkedHashMap<>();
    private final Map<String, String> names = new LinkedHashMap<>();
    private long unpacked;

    private Bundle(ZipFile zip) {
        this.zip = zip;
    }

    /** What is attached, by the SHA-256 of its content: the names that people see. */
    public Map<String, String> files() {
        return Collections.unmodifiableMap(names);
    }

    /**
     * Opens a bundle.
     *
     * @throws Unreadable when it is none, damaged, too large or hostile
     */
    public static Bundle open(Path file) throws IOException {
        ZipFile zip;
        try {
            zip = ZipFile.builder().setPath(file).get();
        } catch (IOException e) {
            throw new Unreadable("This is no .zip file, or it is damaged. Nothing was stored.", e);
        }
        Bundle bundle = new Bundle(zip);
        try {
            bundle.look();
            return bundle;
        } catch (IOException | RuntimeException e) {
            zip.close();
            throw e;
        }
    }

    private void look() throws IOException {
        for (ZipArchiveEntry entry : Collections.list(zip.getEntries())) {
            String name = entry.getName();
            boolean known = PARTS.contains(name) || FILE.matcher(name).matches();
            if (!known || entry.isUnixSymlink() || entries.size() >= MOST_PARTS || entries.put(name, entry) != null) {
                throw new Unreadable("“" + printable(name) + "” does not belong into a bundle. Nothing was stored.");
            }
        }
        if (!entries.containsKey("bundle.json") || !entries.containsKey("plan.json")) {
            throw new Unreadable("This .zip is no bundle: it has no plan.json. Nothing was stored.");
        }
        try {
            JsonNode root = Json.read(new String(part("bundle.json", 2_000_000), StandardCharsets.UTF_8));
            if (root.path("matsuriBundle").asInt() != 1) {
                throw new Unreadable("This bundle was written by a newer version. Nothing was stored.");
            }
            for (JsonNode one : root.path("files")) {
                String id = one.path("file").asString("");
                if (!entries.containsKey("files/" + id)) {
                    throw new Unreadable("The bundle lacks its file “"
                            + printable(one.path("name").asString("")) + "”. Write it again. Nothing was stored.");
                }
                names.put(id, one.path("name").asString(""));
            }
        } catch (JacksonException e) {
            throw new Unreadable("The bundle's table of files is damaged. Nothing was stored.", e);
        }
    }

    private static String printable(String name) {
        String shown = name.replaceAll("\\p{Cntrl}", "?");
        return shown.length() > 80 ? shown.substring(0, 80) + "…" : shown;
    }

    private byte[] part(String name, int most) throws IOException {
        ByteArrayOutputStream kept = new ByteArrayOutputStream();
        byte[] buffer = new byte[16_384];
        try (InputStream content = zip.getInputStream(entries.get(name))) {
            for (int n = content.read(buffer); n >= 0; n = content.read(buffer)) {
                unpacked += n;
                if (kept.size() + n > most || unpacked > MOST_UNPACKED) {
                    throw new Unreadable("“" + name + "” unpacks to more than " + most / 1_000_000
                            + " MB, or the bundle to more than 300. Nothing was stored.");
                }
                kept.write(buffer, 0, n);
            }
        } catch (IOException e) {
            throw new Unreadable("“" + name + "” in the bundle is damaged. Nothing was stored.", e);
        }
        return kept.toByteArray();
    }

    /** The plan file. */
    public byte[] plan() throws IOException {
        return part("plan.json", PlanFile.MOST_BYTES);
    }

    /** The history as it was written; empty where there is none. */
    public Optional<String> history() throws IOException {
        return entries.containsKey("history.json")
                ? Optional.of(new String(part("history.json", MOST_HISTORY), StandardCharsets.UTF_8))
                : Optional.empty();
    }

    /**
     * The content of an attached file.
     *
     * @throws Unreadable when it is not what its name says
     */
    public byte[] file(String id) throws IOException {
        byte[] content = part("files/" + id, MOST_FILE);
        if (!digest(content).equals(id)) {
            throw new Unreadable("The file “" + printable(names.getOrDefault(id, id))
                    + "” is not the one that was put in. Nothing was stored.");
        }
        return content;
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }

    /** The name under which a file is kept: the SHA-256 of its content, in hexadecimal. */
    public static String digest(byte[] content) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(content));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Where the content of attached files comes from while a bundle is written. */
    @FunctionalInterface
    public interface Contents {
        byte @Nullable [] of(String file) throws IOException;
    }

    /**
     * Writes a bundle.
     *
     * @param files the names that people see, by the SHA-256 of the content
     * @param history null to leave it out
     */
    public static void write(
            String plan, Map<String, String> files, Contents contents, @Nullable String history, OutputStream out)
            throws IOException {
        try (ZipOutputStream written = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
            List<Map<String, String>> table = files.entrySet().stream()
                    .map(f -> Map.of("file", f.getKey(), "name", f.getValue()))
                    .toList();
            Map<String, Object> root = new LinkedHashMap<>();
            root.put("matsuriBundle", 1);
            root.put("files", table);
            put(written, "bundle.json", Json.pretty(root).getBytes(StandardCharsets.UTF_8));
            put(written, "plan.json", plan.getBytes(StandardCharsets.UTF_8));
            if (history != null) {
                put(written, "history.json", history.getBytes(StandardCharsets.UTF_8));
            }
            for (String file : files.keySet()) {
                put(written, "files/" + file, Known.there(contents.of(file), file));
            }
        }
    }

    private static void put(ZipOutputStream out, String name, byte[] content) throws IOException {
        out.putNextEntry(new ZipEntry(name));
        out.write(content);
        out.closeEntry();
    }
}
