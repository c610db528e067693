package app.matsuri.exchange.file;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.parser.Parser;

/**
 * Text documents (Office Open XML, ISO/IEC 29500, .docx) and open documents (ISO/IEC 26300, .odt and .ods): paragraphs as
 * lines, tables as rows with their merged cells, links kept.
 */
final class OfficeText {

    private static final int MOST_REPEATED = 50;

    private OfficeText() {}

    private static Document xml(byte[] content) {
        return Markup.shallow(Jsoup.parse(new String(content, StandardCharsets.UTF_8), "", Parser.xmlParser()));
    }

    /** A .docx by its document part and the addresses of its links. */
    static Given word(String name, byte[] content, Optional<byte[]> relations) {
        Map<String, String> links = new HashMap<>();
        relations.ifPresent(r ->
                xml(r).getElementsByTag("Relationship").forEach(one -> links.put(one.attr("Id"), one.attr("Target"))));
        PlainRows rows = new PlainRows(name);
        Document document = xml(content);
        for (Element body : document.getElementsByTag("w:body")) {
            for (Element part : body.children()) {
                if (part.tagName().equals("w:p")) {
                    rows.line(prefix(part) + paragraph(part, links));
                } else if (part.tagName().equals("w:tbl")) {
                    table(part, rows, links);
                }
            }
        }
        return rows.given();
    }

    /** Headings by their style, list items by their depth. */
    private static String prefix(Element paragraph) {
        String style = paragraph.getElementsByTag("w:pStyle").attr("w:val");
        if (style.matches("(?i)(?:heading|überschrift|titre|título)\\s?[1-4]")) {
            return "#".repeat(style.charAt(style.length() - 1) - '0') + " ";
        }
        if (paragraph.getElementsByTag("w:numPr").isEmpty()) {
            return "";
        }
        String level = paragraph.getElementsByTag("w:ilvl").attr("w:val");
        return "  ".repeat(level.matches("\\d") ? Integer.parseInt(level) + 1 : 1) + "- ";
    }

    private static String paragraph(Element paragraph, Map<String, String> links) {
        StringBuilder text = new StringBuilder();
        runs(paragraph, links, text);
        return text.toString();
    }

    private static void runs(Element element, Map<String, String> links, StringBuilder text) {
        for (Element child : element.children()) {
            switch (child.tagName()) {
                case "w:t" -> text.append(child.wholeText());
                case "w:tab" -> text.append(' ');
                case "w:br", "w:cr" -> text.append('\n');
                case "w:del", "w:pPr", "w:rPr" -> {}
                case "w:hyperlink" -> {
                    int from = text.length();
                    runs(child, links, text);
                    String address = links.getOrDefault(child.attr("r:id"), "");
                    if (address.startsWith("http") && !text.substring(from).contains(address)) {
                        text.append(" (").append(address).append(')');
                    }
                }
                default -> runs(child, links, text);
            }
        }
    }

    private static void table(Element table, PlainRows rows, Map<String, String> links) {
        for (Element row : table.children()) {
            if (!row.tagName().equals("w:tr")) {
                continue;
            }
            List<String> cells = new ArrayList<>();
            for (Element cell : row.children()) {
                if (!cell.tagName().equals("w:tc")) {
                    continue;
                }
                Element merged = cell.getElementsByTag("w:vMerge").first();
                boolean goesOn = merged != null && !merged.attr("w:val").equals("restart");
                cells.add(
                        goesOn
                                ? ""
                                : cell.children().stream()
                                        .filter(p -> p.tagName().equals("w:p"))
                                        .map(p -> paragraph(p, links))
                                        .filter(t -> !t.isBlank())
                                        .collect(Collectors.joining("\n")));
                String across = cell.getElementsByTag("w:gridSpan").attr("w:val");
                for (int c = 1; across.matches("\\d{1,2}") && c < Integer.parseInt(across); c++) {
                    cells.add("");
                }
            }
            rows.row(cells);
        }
    }

    /** An .odt or .ods by its content part; of several tables all, in their order. */
    static Given open(String name, byte[] content) {
        PlainRows rows = new PlainRows(name);
        for (Element body : xml(content).getElementsByTag("office:body")) {
            open(body, rows);
        }
        return rows.given();
    }

    private static void open(Element element, PlainRows rows) {
        for (Element child : element.children()) {
            switch (child.tagName()) {
                case "text:p" -> rows.line(words(child));
                case "text:h" -> rows.line("#".repeat(level(child)) + " " + words(child));
                case "text:list-item" -> item(child, rows);
                case "table:table-row" -> row(child, rows);
                case "table:tracked-changes", "text:tracked-changes", "office:forms" -> {}
                default -> open(child, rows);
            }
        }
    }

    private static int level(Element heading) {
        String level = heading.attr("text:outline-level");
        return level.matches("[1-4]") ? Integer.parseInt(level) : 1;
    }

    private static void item(Element item, PlainRows rows) {
        long depth = item.parents().stream()
                .filter(p -> p.tagName().equals("text:list"))
                .count();
        for (Element child : item.children()) {
            if (child.tagName().equals("text:p")) {
                rows.line("  ".repeat((int) Math.min(depth, 8)) + "- " + words(child));
            } else {
                open(child, rows);
            }
        }
    }

    private static void row(Element row, PlainRows rows) {
        List<String> cells = new ArrayList<>();
        for (Element cell : row.children()) {
            if (!cell.tagName().matches("table:(?:covered-)?table-cell")) {
                continue;
            }
            String text = cell.tagName().contains("covered")
                    ? ""
                    : cell.children().stream()
                            .filter(p -> p.tagName().equals("text:p"))
                            .map(OfficeText::words)
                            .collect(Collectors.joining("\n"));
            String day = cell.attr("office:date-value");
            String value = day.isEmpty() ? text : day.replace("T", " ");
            String times = cell.attr("table:number-columns-repeated");
            int repeated = times.matches("\\d{1,4}") ? Math.min(MOST_REPEATED, Integer.parseInt(times)) : 1;
            for (int c = 0; c < repeated; c++) {
                cells.add(value);
            }
        }
        while (!cells.isEmpty() && cells.get(cells.size() - 1).isBlank()) {
            cells.remove(cells.size() - 1);
        }
        String times = row.attr("table:number-rows-repeated");
        int repeated =
                cells.isEmpty() || !times.matches("\\d{1,3}") ? 1 : Math.min(MOST_REPEATED, Integer.parseInt(times));
        for (int r = 0; r < repeated; r++) {
            rows.row(cells.isEmpty() ? List.of("") : cells);
        }
    }

    private static String words(Element paragraph) {
        Element copy = paragraph.clone();
        copy.getElementsByTag("text:a").forEach(a -> {
            String address = a.attr("xlink:href");
            if (address.startsWith("http") && !a.text().contains(address)) {
                a.appendText(" (" + address + ")");
            }
        });
        copy.getElementsByTag("text:line-break").forEach(br -> br.appendText("\n"));
        copy.getElementsByTag("text:s").forEach(s -> s.appendText(" "));
        copy.getElementsByTag("text:tab").forEach(t -> t.appendText(" "));
        return copy.wholeText().strip();
    }
}
