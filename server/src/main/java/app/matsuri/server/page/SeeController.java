package app.matsuri.server.page;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.shown.Shown;
import app.matsuri.core.shown.ShownThing;
import app.matsuri.server.files.StoredFiles;
import app.matsuri.server.link.Links;
import app.matsuri.server.link.Links.Sees;
import app.matsuri.server.link.PublicLink;
import app.matsuri.server.page.SectionPage.Thread;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletResponse;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.MessageSource;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The pages of links: without an account, a cookie or a script. */
@Hidden
@Controller
@RequestMapping("/see/{token}")
class SeeController {

    private final Links links;
    private final Readers readers;
    private final StoredFiles files;
    private final MessageSource messages;

    SeeController(Links links, Readers readers, StoredFiles files, MessageSource messages) {
        this.links = links;
        this.readers = readers;
        this.files = files;
        this.messages = messages;
    }

    /** What one section of a link shows, and where its page is. */
    private record Seen(Sees sees, Shown shown, String home, boolean one) {

        Course course() {
            return sees.stored().decisions().course(sees.section().course()).orElseThrow();
        }
    }

    private List<Seen> seen(String token, HttpServletResponse response) {
        PublicLink link = links.opened(token).orElseThrow(NothingHere::new);
        response.setHeader(PublicSecurity.POLICY_HEADER, PublicSecurity.policy(links.framedBy(link)));
        List<Sees> sees = links.sees(link);
        List<Seen> seen = new ArrayList<>();
        for (Sees one : sees) {
            String home = "/see/" + token + (sees.size() == 1 ? "?" : "?of=" + of(one) + "&");
            readers.shown(one).ifPresent(shown -> seen.add(new Seen(one, shown, home, sees.size() == 1)));
        }
        if (seen.isEmpty()) {
            throw new NothingHere();
        }
        return seen;
    }

    private static String of(Sees sees) {
        return encoded(sees.stored().termId() + "/" + sees.section());
    }

    static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
    }

    /** The one section of a link that is asked for; the only one where it has no other. */
    private Optional<Seen> asked(List<Seen> seen, @Nullable String of) {
        if (of == null) {
            return seen.size() == 1 ? Optional.of(seen.get(0)) : Optional.empty();
        }
        return Optional.of(seen.stream()
                .filter(s ->
                        of.equals(s.sees().stored().termId() + "/" + s.sees().section()))
                .findFirst()
                .orElseThrow(NothingHere::new));
    }

    private PageWords words(Seen seen) {
        return new PageWords(messages, Locale.ENGLISH, false);
    }

    @GetMapping
    String page(
            @PathVariable String token,
            @RequestParam(required = false) @Nullable String of,
            @RequestParam(required = false) @Nullable Integer week,
            @RequestParam(defaultValue = "false") boolean term,
            @RequestParam(required = false) @Nullable List<String> hide,
            HttpServletResponse response,
            Model model) {
        List<Seen> all = seen(token, response);
        Optional<Seen> one = asked(all, of);
        if (one.isEmpty()) {
            model.addAttribute(
                    "page",
                    DuePage.of(
                            all.stream()
                                    .map(s -> new DuePage.Of(s.shown(), s.home(), of(s.sees()), addresses(token, s)))
                                    .toList(),
                            words(all.get(0)),
                            "/see/" + token,
                            hide == null ? List.of() : hide));
            return "due";
        }
        Seen seen = one.get();
        int number = term ? 1 : week == null ? seen.shown().currentWeek() : week;
        if (seen.shown().begun() && seen.shown().week(number).isEmpty()) {
            throw new NothingHere();
        }
        model.addAttribute("page", pages(token, seen).page(subtitle(seen), zone(seen), number, term));
        model.addAttribute("whole", term);
        model.addAttribute("back", seen.one() ? "" : "/see/" + token);
        return "section";
    }

    @GetMapping("/thing")
    String thing(
            @PathVariable String token,
            @RequestParam(required = false) @Nullable String of,
            @RequestParam String course,
            @RequestParam String id,
            HttpServletResponse response,
            Model model) {
        Seen seen = asked(seen(token, response), of).orElseThrow(NothingHere::new);
        ShownThing thing = SectionPages.find(seen.shown(), course, id);
        if (thing == null) {
            throw new NothingHere();
        }
        model.addAttribute(
                "page",
                ThingPage.of(thing, seen.shown(), pages(token, seen), words(seen), addresses(token, seen), zone(seen)));
        return "thing";
    }

    /** A file of something that is shown, while it may be had. */
    @GetMapping("/files/{file}")
    ResponseEntity<byte[]> file(
            @PathVariable String token,
            @PathVariable String file,
            @RequestParam(required = false) @Nullable String of,
            HttpServletResponse response) {
        Seen seen = asked(seen(token, response), of).orElseThrow(NothingHere::new);
        if (seen.shown().files().noneMatch(f -> f.file().equals(file))) {
            throw new NothingHere();
        }
        return files.kept(seen.sees().stored().termId(), file)
                .orElseThrow(NothingHere::new)
                .away();
    }

    private SectionPages pages(String token, Seen seen) {
        Map<String, Thread> threads = new HashMap<>();
        List<app.matsuri.core.plan.Unit> units = seen.course().units();
        for (int k = 0; k < units.size(); k++) {
            threads.put(
                    units.get(k).id(),
                    SectionPages.thread(units.get(k).code(), units.get(k).colour(), k));
        }
        return new SectionPages(seen.shown(), words(seen), addresses(token, seen), threads);
    }

    private static String subtitle(Seen seen) {
        String term = seen.sees().stored().decisions().term().name();
        String by = seen.shown().instructor();
        return by.isEmpty() ? term : term + ". " + by;
    }

    private String zone(Seen seen) {
        return words(seen).zone(seen.sees().stored().decisions().term().zone());
    }

    private static SectionPages.Addresses addresses(String token, Seen seen) {
        String of = seen.one() ? "" : "of=" + of(seen.sees()) + "&";
        String base = "/see/" + token;
        return new SectionPages.Addresses() {
            @Override
            public String home() {
                return seen.home();
            }

            @Override
            public String week(int number) {
                return seen.home() + "week=" + number;
            }

            @Override
            public String thing(ThingRef ref) {
                return base + "/thing?" + of + "course=" + encoded(ref.course()) + "&id=" + encoded(ref.id());
            }

            @Override
            public String file(String file) {
                return base + "/files/" + encoded(file) + (of.isEmpty() ? "" : "?" + of);
            }

            @Override
            public String feed() {
                return base + "/dates.ics";
            }

            @Override
            public String download() {
                return base + "/download.ics";
            }
        };
    }
}
