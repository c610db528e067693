package app.matsuri.exchange.file;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;

/**
 * Documents as plain files: a saved web page, a text document, an open spreadsheet and a PDF come to cells where they have a table,
 * else to lines; what is plain already stays as it is.
 */
public final class Plain {

    private static final int MOST_PAGES = 60;

    private Plain() {}

    /**
     * The plain file.
     *
     * @throws Unreadable when it is too large, damaged or locked
     */
    public static Given of(Given file) {
        if (file.content().length == 0 || file.content().length > Given.MOST_BYTES) {
            return file; // which says so itself
        }
        if (starts(file, "%PDF")) {
            return pdf(file);
        }
        if (starts(file, "PK\u0003\u0004")) {
            return zipped(file);
        }
        String head = new String(file.content(), 0, Math.min(file.content().length, 2_000), StandardCharsets.ISO_8859_1)
                .toLowerCase(Locale.ROOT);
        boolean page =
                head.matches("(?s)(?:\\xEF\\xBB\\xBF)?\\s*(?:<!doctype html|<html|<!--|<meta|<table|<body|<head).*")
                        || file.name().toLowerCase(Locale.ROOT).matches(".*\\.html?");
        return page && head.contains("<") ? Markup.read(file) : file;
    }

    private static boolean starts(Given file, String with) {
        byte[] head = with.getBytes(StandardCharsets.ISO_8859_1);
        for (int i = 0; i < head.length; i++) {
            if (i >= file.content().length || file.content()[i] != head[i]) {
                return false;
            }
        }
        return true;
    }

    private static Given zipped(Given file) {
        String name = file.name().toLowerCase(Locale.ROOT);
        if (name.matches(".*\\.(?:xlsx|imscc|zip)")) {
            return file;
        }
        Unzipped zip = Unzipped.of(file, "document");
        Optional<byte[]> text = zip.part("word/document.xml");
        Optional<byte[]> open = zip.part("content.xml");
        return text.isPresent()
                ? OfficeText.word(file.name(), text.get(), zip.part("word/_rels/document.xml.rels"))
                : open.map(content -> OfficeText.open(file.name(), content)).orElse(file);
    }

    private static Given pdf(Given file) {
        try (PDDocument document = Loader.loadPDF(file.content())) {
            if (document.getNumberOfPages() > MOST_PAGES) {
                throw new Unreadable("“" + file.name() + "” has " + document.getNumberOfPages() + " pages; at most "
                        + MOST_PAGES + " are read. Save the pages that are needed.");
            }
            PDFTextStripper stripper = new PDFTextStripper();
            stripper.setSortByPosition(true);
            String text = stripper.getText(document);
            if (text.isBlank()) {
                throw new Unreadable("“" + file.name()
                        + "” has no text, only pictures. Copy its list by hand, or take the page it was made of.");
            }
            return new Given(file.name() + ".txt", text.getBytes(StandardCharsets.UTF_8));
        } catch (IOException | IllegalArgumentException | IllegalStateException | ClassCastException e) {
            if (e instanceof org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException) {
                throw new Unreadable("“" + file.name() + "” is locked with a password. Save it without one.", e);
            }
            throw new Unreadable("“" + file.name() + "” is no PDF that can be read. Copy its list and paste it.", e);
        }
    }
}
