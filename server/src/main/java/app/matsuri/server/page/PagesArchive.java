package app.matsuri.server.page;

import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.shown.ShownFile;
import app.matsuri.core.shown.ShownThing;
import app.matsuri.core.shown.ShownWeek;
import app.matsuri.server.files.StoredFiles;
import app.matsuri.server.page.Seeing.Seen;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/** What a link shows now, as pages that open from a disk: the same templates, with their files, styles and fonts beside them. */
@Component
class PagesArchive {

    private static final Pattern FONT = Pattern.compile("url\\(/assets/([^)]+)\\)");

    private final ITemplateEngine templates;
    private final Seeing seeing;
    private final StoredFiles files;
    private final Style style;

    PagesArchive(ITemplateEngine templates, Seeing seeing, StoredFiles files, Style style) {
        this.templates = templates;
        this.seeing = seeing;
        this.files = files;
        this.style = style;
    }

    /** The pages of all that is seen; its first page is index.html. */
    byte[] zip(List<Seen> seen) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes, StandardCharsets.UTF_8)) {
            for (int k = 0; k < seen.size(); k++) {
                section(zip, seen.get(k), k == 0 ? "index" : "section-" + (k + 1), seen, k);
            }
            styles(zip);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    /** Where things are within the archive. */
    private record Within(String name, Map<ThingRef, Integer> things, Map<String, String> kept)
            implements SectionPages.Addresses {

        @Override
        public String home() {
            return name + ".html";
        }

        @Override
        public String week(int number) {
            return name + "-week-" + number + ".html";
        }

        @Override
        public String thing(ThingRef ref) {
            return name + "-" + things.get(ref) + ".html";
        }

        @Override
        public String file(String file) {
            return "files/" + Seeing.encoded(kept.getOrDefault(file, file));
        }

        @Override
        public String sheet(int week) {
            return week(week);
        }
    }

    private void section(ZipOutputStream zip, Seen seen, String name, List<Seen> all, int k) throws IOException {
        Map<ThingRef, Integer> things = new HashMap<>();
        for (ShownThing thing : seen.shown().things()) {
            things.put(thing.ref(), things.size() + 1);
        }
        Within within = new Within(name, things, kept(zip, seen, k));
        PageWords words = seeing.words(seen);
        SectionPages pages = new SectionPages(seen.shown(), words, within, SeeController.threads(seen));
        String zone = words.zone(seen.zone());
        Map<String, Object> model = new HashMap<>();
        model.put("page", pages.page(SeeController.subtitle(seen), zone, 1, true));
        model.put("whole", true);
        model.put("back", all.size() > 1 && k > 0 ? "index.html" : "");
        put(zip, within.home(), "section", model, words);
        for (ShownThing thing : seen.shown().things()) {
            put(
                    zip,
                    within.thing(thing.ref()),
                    "thing",
                    Map.of("page", ThingPage.of(thing, seen.shown(), pages, words, within, zone)),
                    words);
        }
        Seen here = seen.within(within);
        for (ShownWeek week : seen.shown().weeks()) {
            SheetPage sheet = new Sheets(List.of(here), words, false, SeeController.threads(seen))
                    .page(week.number(), SeeController.subtitle(seen))
                    .orElseThrow();
            put(zip, within.week(week.number()), "sheet", Map.of("page", sheet), words);
        }
    }

    /** Puts the files of a section in; their names there by the names under which they are stored. */
    private Map<String, String> kept(ZipOutputStream zip, Seen seen, int k) throws IOException {
        Map<String, String> kept = new HashMap<>();
        for (ShownFile file : seen.shown().files().distinct().toList()) {
            var content = files.kept(seen.sees().stored().termId(), file.file());
            if (content.isPresent() && !kept.containsKey(file.file())) {
                String name =
                        (k + 1) + "-" + (kept.size() + 1) + "-" + file.name().replaceAll("[\\\\/:*?\"<>|]", "_");
                kept.put(file.file(), name);
                put(zip, "files/" + name, content.get().bytes());
            }
        }
        return kept;
    }

    private void put(ZipOutputStream zip, String name, String template, Map<String, Object> model, PageWords words)
            throws IOException {
        Context context = new Context(words.locale(), model);
        context.setVariable("style", "style/see.css");
        put(zip, name, templates.process(template, context).getBytes(StandardCharsets.UTF_8));
    }

    private static void put(ZipOutputStream zip, String name, byte[] content) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(content);
        zip.closeEntry();
    }

    private void styles(ZipOutputStream zip) throws IOException {
        ClassPathResource css = new ClassPathResource("static" + style.address());
        if (!css.exists()) {
            return;
        }
        String text = css.getContentAsString(StandardCharsets.UTF_8);
        put(zip, "style/see.css", FONT.matcher(text).replaceAll("url($1)").getBytes(StandardCharsets.UTF_8));
        Matcher fonts = FONT.matcher(text);
        while (fonts.find()) {
            try (InputStream font = new ClassPathResource("static/assets/" + fonts.group(1)).getInputStream()) {
                put(zip, "style/" + fonts.group(1), font.readAllBytes());
            }
        }
    }
}
