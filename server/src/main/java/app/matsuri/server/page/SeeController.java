package app.matsuri.server.page;

import app.matsuri.core.shown.ShownThing;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.files.StoredFiles;
import app.matsuri.server.link.PublicLink;
import app.matsuri.server.page.SectionPage.Thread;
import app.matsuri.server.page.Seeing.Seen;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/**
 * The pages of links: without an account, a cookie or a script. The same pages can be looked at by whoever may look at the term, as the
 * class or as one of its students, without a link.
 */
@Hidden
@PublicPage
@Controller
@RequestMapping({"/see/{token}", "/preview/{termId}/{who}"})
class SeeController {

    private final Seeing seeing;
    private final Previews previews;
    private final SectionHtml sections;
    private final StoredFiles files;
    private final List<LinkPage> others;

    SeeController(Seeing seeing, SectionHtml sections, Previews previews, StoredFiles files, List<LinkPage> others) {
        this.seeing = seeing;
        this.others = List.copyOf(others);
        this.previews = previews;
        this.sections = sections;
        this.files = files;
    }

    private static final MediaType HTML = new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8);

    /** The page of a kind of link that shows something else than sections; empty for the others. */
    private Optional<LinkPage> other(PublicLink link) {
        return others.stream().filter(page -> page.kind() == link.kind).findFirst();
    }

    private List<Seen> seen(Map<String, String> path, HttpServletResponse response, @Nullable SignedIn by) {
        String token = path.get("token");
        return seen(path, token == null ? null : seeing.open(token), response, by);
    }

    private List<Seen> seen(
            Map<String, String> path, @Nullable PublicLink link, HttpServletResponse response, @Nullable SignedIn by) {
        List<Seen> seen;
        if (link != null) {
            seeing.framed(link, response);
            seen = seeing.seen(link, path.getOrDefault("token", ""));
        } else {
            response.setHeader(PublicSecurity.POLICY_HEADER, PublicSecurity.policy(""));
            seen = previews.seen(by, path.getOrDefault("termId", ""), path.getOrDefault("who", ""));
        }
        PageLocale.set(seeing.words(seen.get(0)).locale());
        return seen;
    }

    @GetMapping({"", "/"})
    Object page(
            @PathVariable Map<String, String> path,
            @AuthenticationPrincipal @Nullable SignedIn by,
            @RequestParam(required = false) @Nullable String of,
            @RequestParam(required = false) @Nullable Integer week,
            @RequestParam(defaultValue = "false") boolean term,
            @RequestParam MultiValueMap<String, String> query,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        String token = path.get("token");
        PublicLink link = token == null ? null : seeing.open(token);
        if (token != null && link != null) {
            Optional<LinkPage> other = other(link);
            if (other.isPresent()) {
                seeing.framed(link, response);
                return other.get().page(link, new LinkPage.Asked(host(request), token, query), model);
            }
        }
        List<Seen> all = seen(path, link, response, by);
        Optional<Seen> one = Seeing.asked(all, of);
        if (one.isEmpty()) {
            if (token != null) {
                // a preview has no feed of its own
                model.addAttribute(
                        "take", TakePage.Addresses.of(host(request), all.get(0).base(), ""));
            }
            model.addAttribute(
                    "page",
                    DuePage.of(
                            all.stream()
                                    .map(s -> new DuePage.Of(s.shown(), s.home(), s::thing))
                                    .toList(),
                            seeing.words(all.get(0)),
                            all.get(0).base(),
                            query.getOrDefault("hide", List.of())));
            return "due";
        }
        Seen seen = one.get();
        int number = term ? 1 : week == null ? seen.shown().currentWeek() : week;
        if (seen.shown().begun() && seen.shown().week(number).isEmpty()) {
            throw new NothingHere();
        }
        return ResponseEntity.ok()
                .contentType(HTML)
                .body(sections.page(seen, number, term, path.containsKey("token"), host(request)));
    }

    /** A week on one sheet: to look at, to print, as a file, or as plain words. */
    @GetMapping("/sheet")
    String sheet(
            @PathVariable Map<String, String> path,
            @AuthenticationPrincipal @Nullable SignedIn by,
            @RequestParam(required = false) @Nullable String of,
            @RequestParam(required = false) @Nullable Integer week,
            @RequestParam(defaultValue = "false") boolean teacher,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        model.addAttribute(
                "page", sheetPage(path, by, of, week, teacher, response).page());
        return "sheet";
    }

    /** The same to paste into any other page: a table with its styles in it. */
    @GetMapping("/sheet.html")
    String sheetToPaste(
            @PathVariable Map<String, String> path,
            @AuthenticationPrincipal @Nullable SignedIn by,
            @RequestParam(required = false) @Nullable String of,
            @RequestParam(required = false) @Nullable Integer week,
            @RequestParam(defaultValue = "false") boolean teacher,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        model.addAttribute(
                "page", sheetPage(path, by, of, week, teacher, response).page());
        model.addAttribute("host", host(request));
        return "sheet-part";
    }

    /** The same as plain words. */
    @GetMapping(path = "/sheet.txt", produces = "text/plain;charset=UTF-8")
    ResponseEntity<String> sheetAsText(
            @PathVariable Map<String, String> path,
            @AuthenticationPrincipal @Nullable SignedIn by,
            @RequestParam(required = false) @Nullable String of,
            @RequestParam(required = false) @Nullable Integer week,
            @RequestParam(defaultValue = "false") boolean teacher,
            HttpServletRequest request,
            HttpServletResponse response) {
        Sheet sheet = sheetPage(path, by, of, week, teacher, response);
        return ResponseEntity.ok(SheetText.of(sheet.page(), sheet.words(), host(request)));
    }

    private record Sheet(SheetPage page, PageWords words) {}

    private Sheet sheetPage(
            Map<String, String> path,
            @Nullable SignedIn by,
            @Nullable String of,
            @Nullable Integer week,
            boolean teacher,
            HttpServletResponse response) {
        List<Seen> all = seen(path, response, by);
        boolean own = teacher && path.containsKey("who");
        Seen seen = own ? all.get(0) : Seeing.asked(all, of).orElseThrow(NothingHere::new);
        List<Seen> sections = own ? previews.planned(seen) : List.of(seen);
        int number = week == null ? seen.shown().currentWeek() : week;
        PageWords words = seeing.words(seen);
        SheetPage page = new Sheets(sections, words, own, threads(seen))
                .page(number, subtitle(seen))
                .orElseThrow(NothingHere::new);
        return new Sheet(page, words);
    }

    /** Choosing what to take along. */
    @GetMapping("/take")
    String take(
            @PathVariable Map<String, String> path,
            @AuthenticationPrincipal @Nullable SignedIn by,
            @RequestParam MultiValueMap<String, String> query,
            @RequestParam(defaultValue = "false") boolean busy,
            @RequestParam(defaultValue = "false") boolean allday,
            @RequestParam(defaultValue = "") String remind,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        List<Seen> all = seen(path, response, by);
        TakePage.Asked asked = new TakePage.Asked(
                query.getOrDefault("with", List.of()), query.getOrDefault("of", List.of()), busy, allday, remind);
        model.addAttribute("page", TakePage.of(all, seeing.words(all.get(0)), host(request), asked));
        return "take";
    }

    private static String host(HttpServletRequest request) {
        return ServletUriComponentsBuilder.fromContextPath(request).toUriString();
    }

    @GetMapping("/thing")
    String thing(
            @PathVariable Map<String, String> path,
            @AuthenticationPrincipal @Nullable SignedIn by,
            @RequestParam(required = false) @Nullable String of,
            @RequestParam String course,
            @RequestParam String id,
            HttpServletResponse response,
            Model model) {
        Seen seen = Seeing.asked(seen(path, response, by), of).orElseThrow(NothingHere::new);
        ShownThing thing = SectionPages.find(seen.shown(), course, id);
        if (thing == null) {
            throw new NothingHere();
        }
        model.addAttribute(
                "page",
                ThingPage.of(thing, seen.shown(), pages(seen), seeing.words(seen), addresses(seen), zone(seen)));
        return "thing";
    }

    /** A file of something that is shown, while it may be had. */
    @GetMapping("/files/{file}")
    ResponseEntity<byte[]> file(
            @PathVariable Map<String, String> path,
            @AuthenticationPrincipal @Nullable SignedIn by,
            @PathVariable String file,
            @RequestParam(required = false) @Nullable String of,
            HttpServletResponse response) {
        String token = path.get("token");
        if (token != null) {
            PublicLink link = seeing.open(token);
            Optional<StoredFiles.Content> content = other(link).flatMap(page -> page.file(link, file));
            if (content.isPresent()) {
                return content.get().away();
            }
        }
        Seen seen = Seeing.asked(seen(path, response, by), of).orElseThrow(NothingHere::new);
        if (seen.shown().files().noneMatch(f -> f.file().equals(file))) {
            throw new NothingHere();
        }
        return files.kept(seen.sees().stored().termId(), file)
                .orElseThrow(NothingHere::new)
                .away();
    }

    static Map<String, Thread> threads(Seen seen) {
        return SectionPages.threads(seen.course());
    }

    private SectionPages pages(Seen seen) {
        return new SectionPages(seen.shown(), seeing.words(seen), addresses(seen), threads(seen));
    }

    static String subtitle(Seen seen) {
        String term = seen.sees().stored().decisions().term().name();
        String by = seen.shown().instructor();
        return by.isEmpty() ? term : term + ". " + by;
    }

    private String zone(Seen seen) {
        return seeing.words(seen).zone(seen.zone());
    }

    private static SectionPages.Addresses addresses(Seen seen) {
        return seen.addresses();
    }
}
