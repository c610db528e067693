package app.matsuri.server.page;

import java.util.List;
import java.util.regex.Pattern;
import org.commonmark.Extension;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.parser.Parser;
import org.commonmark.renderer.html.HtmlRenderer;
import org.owasp.html.HtmlPolicyBuilder;
import org.owasp.html.PolicyFactory;
import org.owasp.html.Sanitizers;
import org.springframework.web.util.HtmlUtils;

/** Markdown as HTML that runs nothing and loads nothing from elsewhere. */
final class Markdown {

    private static final List<Extension> WITH = List.of(TablesExtension.create());
    private static final Parser PARSER = Parser.builder().extensions(WITH).build();
    private static final HtmlRenderer RENDERER =
            HtmlRenderer.builder().extensions(WITH).build();
    private static final PolicyFactory SAFE = Sanitizers.BLOCKS
            .and(Sanitizers.FORMATTING)
            .and(Sanitizers.TABLES)
            .and(new HtmlPolicyBuilder()
                    .allowElements("a", "pre", "hr")
                    .allowAttributes("href")
                    .onElements("a")
                    .allowUrlProtocols("http", "https", "mailto")
                    .requireRelsOnLinks("noopener", "noreferrer")
                    .toFactory());

    /** In letters, as many as the page takes in a field. */
    static final int MOST = 20_000;

    private static final Pattern BLANK_LINES = Pattern.compile("\\n\\s*\\n");

    private Markdown() {}

    /**
     * The text as HTML; nothing for nothing. Marks cost by the square of what is left open, so that a text longer than
     * {@link #MOST} is read in pieces of whole paragraphs, and a paragraph that is longer is shown without its marks.
     */
    static String html(String text) {
        if (text.isBlank()) {
            return "";
        }
        if (text.length() <= MOST) {
            return marked(text);
        }
        StringBuilder all = new StringBuilder();
        StringBuilder piece = new StringBuilder();
        for (String paragraph : BLANK_LINES.split(text.replace("\r\n", "\n"))) {
            if (piece.length() + paragraph.length() > MOST / 2) {
                all.append(marked(piece.toString()));
                piece.setLength(0);
            }
            if (paragraph.length() > MOST) {
                all.append(plain(paragraph));
            } else {
                piece.append(paragraph).append("\n\n");
            }
        }
        return all.append(marked(piece.toString())).toString();
    }

    private static String marked(String text) {
        return SAFE.sanitize(RENDERER.render(PARSER.parse(text)));
    }

    private static String plain(String text) {
        return "<p>" + HtmlUtils.htmlEscape(text).replace("\n", "<br />") + "</p>";
    }
}
