package app.matsuri.exchange.file;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;

/** A zip file, unpacked once while counting: a bomb, a path trick or a document type never reaches a parser. */
public final class Unzipped {

    private static final long MOST_UNPACKED = 60_000_000;
    private static final int MOST_PARTS = 5_000;
    private static final int MOST_KEPT = 2_000_000;

    private final Map<String, byte[]> parts = new HashMap<>();

    private Unzipped() {}

    /**
     * Unpacks the file; of its parts those that end in .xml or .xml.rels are kept.
     *
     * @param what what it should be, for messages, such as "workbook"
     * @throws Unreadable when it is damaged, too large or hostile
     */
    public static Unzipped of(Given file, String what) {
        Unzipped unzipped = new Unzipped();
        long unpacked = 0;
        int count = 0;
        try (ZipFile zip = ZipFile.builder().setByteArray(file.content()).get()) {
            for (ZipArchiveEntry entry : Collections.list(zip.getEntries())) {
                String part = entry.getName();
                if (++count > MOST_PARTS || part.contains("..") || part.startsWith("/")) {
                    throw new Unreadable("“" + file.name() + "” is no " + what + " as programs write them.");
                }
                unpacked += unzipped.part(file, zip, entry, MOST_UNPACKED - unpacked);
            }
        } catch (IOException e) {
            throw new Unreadable("“" + file.name() + "” is damaged. Save it again.", e);
        }
        if (count == 0) {
            throw new Unreadable("“" + file.name() + "” is damaged. Save it again.");
        }
        return unzipped;
    }

    private long part(Given file, ZipFile zip, ZipArchiveEntry entry, long room) throws IOException {
        String part = entry.getName();
        boolean xml = part.endsWith(".xml") || part.endsWith(".xml.rels");
        ByteArrayOutputStream kept = new ByteArrayOutputStream();
        byte[] buffer = new byte[16_384];
        long size = 0;
        InputStream content = zip.getInputStream(entry);
        for (int n = content.read(buffer); n >= 0; n = content.read(buffer)) {
            size += n;
            if (size > room) {
                throw new Unreadable(
                        "“" + file.name() + "” unpacks to more than 60 MB. Save only the part that is needed.");
            }
            if (kept.size() + n <= (xml ? MOST_KEPT : 4_096)) {
                kept.write(buffer, 0, n);
            }
        }
        String head = kept.toString(StandardCharsets.ISO_8859_1);
        head = head.substring(0, Math.min(head.length(), 4_096));
        if (head.contains("<!DOCTYPE") && xml || head.contains("<!ENTITY")) {
            throw new Unreadable(
                    "“" + file.name() + "” carries a document type, which is not needed. It was not read.");
        }
        if (xml && size <= MOST_KEPT) {
            parts.put(part, kept.toByteArray());
        }
        return size;
    }

    /** The part of that name, where it was kept. */
    public Optional<byte[]> part(String name) {
        return Optional.ofNullable(parts.get(name));
    }
}
