package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.Known;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.Plain;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.sheet.Sheet;
import java.util.Locale;

/** Outlines from files as given: a table, a workbook, a document, a web page, a text or a Common Cartridge. */
public final class OutlineFile {

    private OutlineFile() {}

    /**
     * Reads it.
     *
     * @throws Unreadable when it is none of those
     */
    public static OutlineReader.Reading read(Given given, Into into) {
        Given file = Plain.of(given);
        if (file.name().toLowerCase(Locale.ROOT).matches(".*\\.(imscc|zip)")) {
            file.kind();
            return CartridgeReader.read(file, Known.there(into.course(), "a course for a cartridge"));
        }
        return switch (file.kind()) {
            case WORKBOOK, TABLE -> OutlineReader.read(Sheet.table(file), into);
            case CALENDAR ->
                throw new Unreadable("“" + file.name()
                        + "” is a calendar. Give an outline as .csv, .xlsx, .ods, .docx, .html, .pdf, .txt or .imscc.");
            case TEXT -> OutlineReader.read(Sheet.of(file.text()), into);
        };
    }
}
