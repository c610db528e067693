package app.matsuri.server.page;

import app.matsuri.core.shown.Shown;
import app.matsuri.server.page.Seeing.Seen;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/**
 * The page of a section as it is sent. Its addresses are read from where it is, so that all who see the same get the same words but for
 * that place: they are put into words once for as long as what is seen is kept.
 */
@Component
class SectionHtml {

    /** What stands for where the page is, and for the server's name, until it is sent. */
    private static final String HERE = "/-here-";

    private static final String HOST = "http://-host-";

    private final ITemplateEngine templates;
    private final Seeing seeing;
    private final Style style;
    private final HoursAhead ahead;
    /** Goes with what is seen: looked up by being the same, not by being equal. */
    private final Cache<Shown, Map<Variant, String>> written =
            Caffeine.newBuilder().weakKeys().build();

    /** Ways to show the same. */
    private record Variant(
            int week, boolean whole, boolean one, boolean take, List<SectionPage.Said> hours, boolean anyHours) {}

    SectionHtml(ITemplateEngine templates, Seeing seeing, Style style, HoursAhead ahead) {
        this.templates = templates;
        this.seeing = seeing;
        this.style = style;
        this.ahead = ahead;
    }

    /**
     * The page of a week, or of the whole term.
     *
     * @param host "http://localhost:8460"
     * @param take whether it offers its feed
     */
    String page(Seen seen, int week, boolean whole, boolean take, String host) {
        Variant variant =
                new Variant(week, whole, seen.one(), take, ahead.lines(seen, seeing.words(seen)), HoursAhead.any(seen));
        Map<Variant, String> variants = written.get(seen.shown(), shown -> new ConcurrentHashMap<>());
        return variants.computeIfAbsent(variant, v -> write(seen.fromThere(), v))
                .replace(HERE, seen.base())
                .replace(HOST, host)
                .replace(HOST.replace("http:", "webcal:"), host.replaceFirst("^https?:", "webcal:"));
    }

    private String write(Seen seen, Variant variant) {
        PageWords words = seeing.words(seen);
        SectionPages pages =
                new SectionPages(seen.shown(), words, seen.addresses(), SectionPages.threads(seen.course()));
        Map<String, Object> model = new HashMap<>();
        model.put(
                "page",
                pages.page(SeeController.subtitle(seen), words.zone(seen.zone()), variant.week(), variant.whole()));
        model.put("whole", variant.whole());
        model.put("back", variant.one() ? "" : "./");
        model.put("style", style.address());
        model.put("base", HERE + "/");
        model.put("hours", variant.hours());
        model.put("anyHours", variant.anyHours());
        if (variant.take()) {
            model.put("take", TakePage.Addresses.of(HOST, HERE, ""));
        }
        return templates.process("section", new Context(words.locale(), model));
    }
}
