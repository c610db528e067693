package app.matsuri.exchange.file;

import app.matsuri.core.calendar.TimeLimit;
import java.io.IOException;
import java.io.InputStream;
import java.util.Collections;
import java.util.Locale;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;

/**
 * How much a workbook comes to, counted part by part before it is read: its texts are read whole and its cells by where they say
 * that they are.
 */
final class WorkbookBounds {

    private static final int MOST_TEXTS = 300_000;
    private static final int MOST_CELLS = 400_000;
    private static final int MOST_FORMATS = 70_000;

    /** Columns have up to three letters, rows up to seven digits. */
    private static final Pattern PLACE = Pattern.compile("[A-Za-z]{1,3}[0-9]{1,7}");

    private final String name;
    private int texts;
    private int cells;
    private int formats;

    private WorkbookBounds(String name) {
        this.name = name;
    }

    /**
     * Looks at all parts.
     *
     * @throws Unreadable when there is too much of something, or it lies where no cell is
     */
    static void check(Given file) {
        WorkbookBounds bounds = new WorkbookBounds(file.name());
        try (ZipFile zip = ZipFile.builder().setByteArray(file.content()).get()) {
            for (ZipArchiveEntry entry : Collections.list(zip.getEntries())) {
                try (InputStream content = zip.getInputStream(entry)) {
                    bounds.part(content);
                }
            }
        } catch (IOException e) {
            throw new Unreadable("“" + file.name() + "” is damaged. Save it again.", e);
        }
    }

    private void part(InputStream content) {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        try {
            XMLStreamReader reader = factory.createXMLStreamReader(content);
            while (reader.hasNext()) {
                if (reader.next() == XMLStreamConstants.START_ELEMENT) {
                    element(reader);
                }
            }
        } catch (XMLStreamException noXml) {
            // a picture, or broken from here on: what reads it gets no further either, and says so
            return;
        }
    }

    private void element(XMLStreamReader reader) {
        switch (reader.getLocalName()) {
            case "si", "t" -> bound(++texts, MOST_TEXTS, "texts");
            case "c" -> {
                bound(++cells, MOST_CELLS, "cells");
                String place = reader.getAttributeValue(null, "r");
                if (place != null && !PLACE.matcher(place).matches()) {
                    throw new Unreadable("“" + name + "” has a cell at “"
                            + place.substring(0, Math.min(20, place.length())) + "”, where no cell is. Save it again.");
                }
            }
            case "xf", "numFmt", "sheet", "Relationship" -> bound(++formats, MOST_FORMATS, "formats");
            default -> {}
        }
        if ((texts + cells) % 1_000 == 0) {
            TimeLimit.look();
        }
    }

    private void bound(int count, int most, String what) {
        if (count > most) {
            throw new Unreadable(String.format(
                    Locale.ENGLISH, "“%s” has more than %,d %s. Cut it down to the term's dates.", name, most, what));
        }
    }
}
