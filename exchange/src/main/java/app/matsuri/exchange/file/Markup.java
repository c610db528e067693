package app.matsuri.exchange.file;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;

/** A web page, or a table copied from a document: rows with their merged cells, lists with their depth, headings, links. */
final class Markup {

    private static final int MOST_SPAN = 200;
    private static final int MOST_DEPTH = 150;

    private final PlainRows rows;

    private Markup(PlainRows rows) {
        this.rows = rows;
    }

    static Given read(Given file) {
        Document page = shallow(Jsoup.parse(file.text()));
        page.select("script, style, noscript, template, svg, nav, [hidden]").remove();
        Markup markup = new Markup(new PlainRows(file.name()));
        markup.walk(page.body(), 0);
        markup.flush();
        return markup.rows.given();
    }

    /**
     * The document, looked at.
     *
     * @throws Unreadable when things stand in each other deeper than any program writes them
     */
    static Document shallow(Document document) {
        document.traverse((node, depth) -> {
            if (depth > MOST_DEPTH) {
                throw new Unreadable("Things stand in each other more than " + MOST_DEPTH
                        + " deep in this document. Save it again, or copy its text and paste it.");
            }
        });
        return document;
    }

    private final StringBuilder line = new StringBuilder();
    private int indent;

    private void flush() {
        String text = line.toString().replaceAll("\\s+", " ").strip();
        line.setLength(0);
        if (!text.isEmpty()) {
            rows.line(" ".repeat(indent) + text);
        }
    }

    private void walk(Element element, int depth) {
        for (Node node : element.childNodes()) {
            if (node instanceof TextNode text) {
                line.append(text.text());
            } else if (node instanceof Element child) {
                element(child, depth);
            }
        }
    }

    private void element(Element child, int depth) {
        String tag = child.normalName();
        switch (tag) {
            case "table" -> {
                flush();
                table(child);
            }
            case "br" -> flush();
            case "a" -> {
                walk(child, depth);
                line.append(link(child));
            }
            case "ul", "ol" -> {
                flush();
                int before = indent;
                indent = depth * 2 + 2;
                walk(child, depth + 1);
                flush();
                indent = before;
            }
            case "li" -> {
                flush();
                line.append("- ");
                walk(child, depth);
                flush();
            }
            case "h1", "h2", "h3", "h4" -> {
                flush();
                line.append("#".repeat(tag.charAt(1) - '0')).append(' ');
                walk(child, depth);
                flush();
            }
            default -> {
                boolean block = child.isBlock();
                if (block) {
                    flush();
                }
                walk(child, depth);
                if (block) {
                    flush();
                }
            }
        }
    }

    /** The address of a link that its words do not say. */
    private static String link(Element anchor) {
        String address = anchor.attr("href");
        boolean says = !address.toLowerCase(Locale.ROOT).matches("https?://.*")
                || anchor.text().contains(address.replaceFirst("^https?://", ""));
        return says ? "" : " (" + address + ")";
    }

    /** A table: a cell that spans rows stands in the first of them, the others are empty there. */
    private void table(Element table) {
        List<Integer> taken = new ArrayList<>();
        for (Element row : table.select("tr")) {
            if (row.closest("table") != table) {
                continue;
            }
            List<String> cells = new ArrayList<>();
            for (Element cell : row.children()) {
                if (!cell.normalName().matches("t[dh]")) {
                    continue;
                }
                while (cells.size() < taken.size() && taken.get(cells.size()) > 0) {
                    skip(cells, taken);
                }
                int across = span(cell, "colspan");
                int down = span(cell, "rowspan");
                for (int c = 0; c < across; c++) {
                    while (taken.size() <= cells.size()) {
                        taken.add(0);
                    }
                    taken.set(cells.size(), down - 1);
                    cells.add(c == 0 ? text(cell) : "");
                }
            }
            while (cells.size() < taken.size()) {
                if (taken.get(cells.size()) > 0) {
                    skip(cells, taken);
                } else {
                    cells.add("");
                }
            }
            rows.row(cells);
        }
    }

    private static void skip(List<String> cells, List<Integer> taken) {
        taken.set(cells.size(), taken.get(cells.size()) - 1);
        cells.add("");
    }

    private static int span(Element cell, String which) {
        String given = cell.attr(which);
        return given.matches("\\d{1,3}") ? Math.min(MOST_SPAN, Math.max(1, Integer.parseInt(given))) : 1;
    }

    /** A cell's text, its lines apart. */
    private static String text(Element cell) {
        Element copy = cell.clone();
        copy.select("a[href]").forEach(a -> a.append(link(a)));
        copy.select("br").forEach(br -> br.replaceWith(new TextNode("\u0001")));
        copy.select("p, div, li").forEach(block -> block.append("\u0001"));
        return copy.text()
                .replaceAll(" *\u0001 *", "\n")
                .replaceAll("\n+", "\n")
                .strip();
    }
}
