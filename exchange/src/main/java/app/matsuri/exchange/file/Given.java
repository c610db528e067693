package app.matsuri.exchange.file;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.Locale;

/**
 * A file as a person gave it.
 *
 * @param name with its ending, for messages and to tell kinds apart where the content does not
 */
public record Given(String name, byte[] content) {

    /** The largest file that is read, in bytes: 5 MB. */
    public static final int MOST_BYTES = 5_000_000;

    /** The longest line of a text, and the longest cell, that is read, in characters. */
    public static final int MOST_LINE = 8_000;

    private static final Charset WINDOWS = Charset.forName("windows-1252");

    /** What kind of file it is. */
    public enum Kind {
        CALENDAR,
        WORKBOOK,
        TABLE,
        TEXT
    }

    /**
     * What it is, told by its content first.
     *
     * @throws Unreadable when it is too large, empty, or a kind that is not read
     */
    public Kind kind() {
        if (content.length == 0) {
            throw new Unreadable("“" + name + "” is empty.");
        }
        if (content.length > MOST_BYTES) {
            throw new Unreadable(String.format(
                    Locale.ENGLISH,
                    "“%s” has %.1f MB; at most 5 MB are read. Cut it down to the term's dates.",
                    name,
                    content.length / 1e6));
        }
        if (begins(0x50, 0x4B, 0x03, 0x04)) {
            return Kind.WORKBOOK;
        }
        if (begins(0xD0, 0xCF, 0x11, 0xE0)) {
            throw new Unreadable("“" + name + "” is a spreadsheet in an old format. Save it as .xlsx or .csv.");
        }
        if (begins(0x25, 0x50, 0x44, 0x46)) {
            throw new Unreadable("“" + name + "” is a PDF. Copy its list of dates and paste it.");
        }
        String text = text();
        if (text.chars().limit(10_000).filter(c -> c < 9 || c > 13 && c < 32).count() > 5) {
            throw new Unreadable(
                    "“" + name + "” is no text, calendar or table. Give .ics, .csv, .xlsx or paste the list.");
        }
        if (text.stripLeading().regionMatches(true, 0, "BEGIN:VCALENDAR", 0, 15)) {
            return Kind.CALENDAR;
        }
        lines(name, text);
        String lower = name.toLowerCase(Locale.ROOT);
        return lower.endsWith(".csv") || lower.endsWith(".tsv") ? Kind.TABLE : Kind.TEXT;
    }

    /**
     * Looks at the lines of a text.
     *
     * @param name what it is, for the message
     * @throws Unreadable when one is too long
     */
    public static void lines(String name, String text) {
        int number = 1;
        int begun = 0;
        for (int i = 0; i <= text.length(); i++) {
            if (i == text.length() || text.charAt(i) == '\n' || text.charAt(i) == '\r') {
                if (i - begun > MOST_LINE) {
                    throw new Unreadable(String.format(
                            Locale.ENGLISH,
                            "Line %d of “%s” has %,d characters; at most %,d are read. Break it where a line ends.",
                            number,
                            name,
                            i - begun,
                            MOST_LINE));
                }
                begun = i + 1;
                number += i < text.length() && text.charAt(i) == '\n' ? 1 : 0;
            }
        }
    }

    private boolean begins(int... bytes) {
        for (int i = 0; i < bytes.length; i++) {
            if (i >= content.length || (content[i] & 0xFF) != bytes[i]) {
                return false;
            }
        }
        return true;
    }

    /** Its text: by its byte order mark, else UTF-8 where it is that throughout, else windows-1252. */
    public String text() {
        if (begins(0xFF, 0xFE)) {
            return new String(content, 2, content.length - 2, StandardCharsets.UTF_16LE);
        }
        if (begins(0xFE, 0xFF)) {
            return new String(content, 2, content.length - 2, StandardCharsets.UTF_16BE);
        }
        int from = begins(0xEF, 0xBB, 0xBF) ? 3 : 0;
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .onUnmappableCharacter(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(content, from, content.length - from))
                    .toString();
        } catch (CharacterCodingException e) {
            return new String(content, WINDOWS); // what older programs write
        }
    }
}
