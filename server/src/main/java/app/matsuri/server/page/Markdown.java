package app.matsuri.server.page;

import java.util.List;
import org.commonmark.Extension;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.parser.Parser;
import org.commonmark.renderer.html.HtmlRenderer;
import org.owasp.html.HtmlPolicyBuilder;
import org.owasp.html.PolicyFactory;
import org.owasp.html.Sanitizers;

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

    private Markdown() {}

    /** The text as HTML; nothing for nothing. */
    static String html(String text) {
        return text.isBlank() ? "" : SAFE.sanitize(RENDERER.render(PARSER.parse(text)));
    }
}
