package app.matsuri.exchange.file;

import java.util.List;
import java.util.Locale;
import org.apache.tika.Tika;

/** What a file that is to be kept is, told by its content, and whether it may be kept. */
public final class FileKind {

    /** The largest file that is kept, in bytes: 8 MB. */
    public static final long MOST_BYTES = 8_000_000;

    private static final Tika TIKA = new Tika();
    private static final List<String> NOT_KEPT = List.of(
            "application/x-msdownload",
            "application/x-dosexec",
            "application/x-executable",
            "application/x-elf",
            "application/x-sharedlib",
            "application/x-object",
            "application/x-mach-o",
            "application/x-mach-o-executable",
            "application/java-vm",
            "application/java-archive",
            "application/x-sh",
            "application/x-bat");

    private FileKind() {}

    /**
     * The media type of the content; the name only tells apart what content alone does not, such as kinds of office
     * documents.
     *
     * @throws Unreadable when it is empty, too large, or a program
     */
    public static String of(Given file) {
        if (file.content().length == 0) {
            throw new Unreadable("“" + file.name() + "” is empty.");
        }
        if (file.content().length > MOST_BYTES) {
            throw new Unreadable(String.format(
                    Locale.ENGLISH,
                    "“%s” has %.1f MB; at most 8 MB are kept. Put it where students can open it and keep the link.",
                    file.name(),
                    file.content().length / 1e6));
        }
        String byContent = TIKA.detect(file.content());
        boolean plain = byContent.matches("application/octet-stream|text/plain|application/zip|application/x-tika-.*");
        String type = plain ? TIKA.detect(file.content(), file.name()) : byContent;
        if (NOT_KEPT.stream().anyMatch(type::startsWith)) {
            throw new Unreadable("“" + file.name() + "” is a program, which is not kept here.");
        }
        return type;
    }
}
