package app.matsuri.server.page;

import java.util.List;
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

    /** In letters, as many as the page takes in a field. Marks cost by the square of what is open, so that more is shown as it is. */
    static final int MOST = 20_000;

    private Markdown() {}

    /** The text as HTML; nothing for nothing; a text longer than {@link #MOST} without its marks. */
    static String html(String text) {
        if (text.isBlank()) {
            return "";
        }
        return text.length() > MOST ? plain(text) : SAFE.sanitize(RENDERER.render(PARSER.parse(text)));
    }

    private static String plain(String text) {
        return "<p>" + HtmlUtils.htmlEscape(text.replace("\r\n", "\n")).replace("\n", "<br />") + "</p>";
    }
}
