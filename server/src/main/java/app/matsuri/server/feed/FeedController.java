package app.matsuri.server.feed;

import app.matsuri.core.calendar.Term;
import app.matsuri.core.plan.Reminder.Whom;
import app.matsuri.exchange.calendar.FeedEntry;
import app.matsuri.exchange.calendar.FeedWriter;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.hours.HoursFeed;
import app.matsuri.server.link.Links.Sees;
import app.matsuri.server.link.Links.Taken;
import app.matsuri.server.link.PublicLink;
import app.matsuri.server.link.PublicLink.Kind;
import app.matsuri.server.page.NothingHere;
import app.matsuri.server.page.PageWords;
import app.matsuri.server.page.PublicPage;
import app.matsuri.server.page.Seeing;
import app.matsuri.server.page.Seeing.Seen;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.util.DigestUtils;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Feeds of links, to subscribe to and to download. */
@Hidden
@PublicPage
@RestController
@RequestMapping("/see/{token}")
class FeedController {

    /** The most that a feed has, in octets: 2 MB. */
    private static final int MOST = 2_000_000;

    private static final String TYPE = "text/calendar; charset=utf-8";

    private final Seeing seeing;
    private final Clock clock;
    private final Accounts accounts;
    private final HoursFeed hours;
    /** Calendars ask again and again: what was written stays until a term changes or something else may be seen. */
    /** Some thirty feeds of 120 things. */
    private final Cache<Entry, String> texts =
            Caffeine.newBuilder().maximumSize(4_000).build();

    private final Cache<Key, Written> known = Caffeine.newBuilder()
            .maximumWeight(40_000_000)
            .weigher(FeedController::weight)
            .build();

    FeedController(Seeing seeing, Clock clock, Accounts accounts, HoursFeed hours) {
        this.seeing = seeing;
        this.clock = clock;
        this.accounts = accounts;
        this.hours = hours;
    }

    /** An address, and the terms and versions that it shows. */
    private record Key(String source, List<String> versions) {}

    /** A feed as it was written, until when it is so. */
    private record Written(byte[] text, String tag, Instant until) {}

    private static int weight(Key key, Written written) {
        return written.text().length + key.source().length();
    }

    @GetMapping("/dates.ics")
    ResponseEntity<byte[]> feed(
            @PathVariable String token, @RequestParam MultiValueMap<String, String> query, HttpServletRequest request) {
        String source = ServletUriComponentsBuilder.fromRequest(request).toUriString();
        PublicLink link = seeing.open(token);
        if (link.kind == Kind.PLACE) {
            Written taken = taken(link, source);
            return ResponseEntity.ok()
                    .header("Content-Type", TYPE)
                    .eTag(taken.tag())
                    .body(taken.text());
        }
        List<Sees> sees = seeing.sees(link);
        Whose whose = whose(link);
        String booked = FeedContents.of(query).has(FeedContents.Kind.BOOKINGS)
                ? hours.mark(sees.stream().map(Sees::stored).toList())
                : "";
        Key key = new Key(
                source + " " + whose.classes() + " " + booked,
                sees.stream()
                        .map(s -> s.stored().termId() + " " + s.stored().version())
                        .toList());
        Written written = known.getIfPresent(key);
        if (written == null || !clock.instant().isBefore(written.until())) {
            written = written(
                    seeing.seen(sees, Seeing.base(token), link.kind == Kind.OWN), whose, query, source, false, request);
            known.put(key, written);
        }
        return ResponseEntity.ok()
                .header("Content-Type", TYPE)
                .cacheControl(CacheControl.noCache().cachePrivate())
                .eTag(written.tag())
                .body(written.text());
    }

    /** The same as a file that is imported once. */
    @GetMapping("/download.ics")
    ResponseEntity<byte[]> download(
            @PathVariable String token, @RequestParam MultiValueMap<String, String> query, HttpServletRequest request) {
        PublicLink link = seeing.open(token);
        Written written = link.kind == Kind.PLACE
                ? taken(link, "")
                : written(seeing.seen(link, token), whose(link), query, "", true, request);
        return ResponseEntity.ok()
                .header("Content-Type", TYPE)
                .header("Content-Disposition", "attachment; filename=\"dates.ics\"")
                .body(written.text());
    }

    /** When a place is taken: the times and by which section. */
    private Written taken(PublicLink link, String source) {
        List<Taken> taken = seeing.taken(link);
        String place = link.place == null ? "" : link.place;
        ZoneId zone = taken.isEmpty() ? ZoneOffset.UTC : taken.get(0).zone();
        List<FeedEntry> entries = taken.stream()
                .map(one -> FeedEntry.of(
                        ("place-" + one.by() + "-" + one.start()).replaceAll("[^A-Za-z0-9-]", "_") + "@matsuri",
                        clock.instant(),
                        one.start(),
                        one.end(),
                        one.by().course() + " " + one.by().section(),
                        place))
                .toList();
        LocalDate first =
                taken.isEmpty() ? LocalDate.EPOCH : taken.get(0).start().toLocalDate();
        LocalDate last =
                taken.isEmpty() ? first : taken.get(taken.size() - 1).end().toLocalDate();
        byte[] text = FeedWriter.write(new FeedWriter.Head(place, source, zone, first, last), entries)
                .getBytes(StandardCharsets.UTF_8);
        return new Written(text, "\"" + DigestUtils.md5DigestAsHex(text) + "\"", clock.instant());
    }

    /** To whom a feed belongs, and how long before each class they want to be told of it; null for not. */
    private record Whose(Whom to, @Nullable Integer classes) {}

    private Whose whose(PublicLink link) {
        return link.kind == Kind.OWN
                ? new Whose(Whom.INSTRUCTOR, accounts.classReminder(link.workspaceId))
                : new Whose(Whom.STUDENTS, null);
    }

    private Written written(
            List<Seen> all,
            Whose whose,
            MultiValueMap<String, String> query,
            String source,
            boolean away,
            HttpServletRequest request) {
        FeedContents contents = FeedContents.of(query);
        List<String> of = query.get("of");
        List<Seen> seen =
                all.stream().filter(one -> of == null || of.contains(one.key())).toList();
        if (seen.isEmpty()) {
            throw new NothingHere();
        }
        String host = ServletUriComponentsBuilder.fromContextPath(request).toUriString();
        List<FeedEntry> entries = new ArrayList<>();
        for (Seen one : seen) {
            Feeds feeds = new Feeds(
                    one.shown(),
                    one.sees().stored().termId(),
                    one.zone(),
                    seeing.words(one),
                    contents,
                    new Alarms(one.sees().section().course(), one.reminders(), whose.to(), whose.classes(), contents),
                    session -> whose.to() == Whom.INSTRUCTOR ? one.notes(session) : List.of(),
                    ref -> host + one.thing(ref),
                    host + one.home());
            entries.addAll(feeds.entries());
            if (away) {
                entries.addAll(feeds.away());
            }
        }
        if (contents.has(FeedContents.Kind.HOURS)) {
            entries.addAll(hours.hours(seen, host));
        }
        if (contents.has(FeedContents.Kind.BOOKINGS)) {
            entries.addAll(hours.bookings(seen, whose.to() == Whom.INSTRUCTOR, host));
        }
        PageWords words = seeing.words(seen.get(0));
        String courses = String.join(
                ", ",
                seen.stream().map(s -> s.sees().section().course()).distinct().toList());
        FeedWriter.Head head = new FeedWriter.Head(
                words.say("feed.name", courses), source, seen.get(0).zone(), first(seen), last(seen));
        byte[] text = FeedWriter.write(head, entries, this::kept).getBytes(StandardCharsets.UTF_8);
        if (text.length > MOST) {
            text = FeedWriter.write(head, shorter(entries)).getBytes(StandardCharsets.UTF_8);
        }
        Instant until = seen.stream()
                .map(one -> one.shown().until().atZone(one.zone()).toInstant())
                .min(Instant::compareTo)
                .orElse(Instant.EPOCH);
        return new Written(text, "\"" + DigestUtils.md5DigestAsHex(text) + "\"", until);
    }

    /** An entry as it was written before, where it is equal: of a feed that is written anew few entries differ. */
    private String kept(ZoneId zone, FeedEntry entry, Supplier<String> written) {
        return texts.get(new Entry(zone, entry), key -> written.get());
    }

    /** An entry in a zone. */
    private record Entry(ZoneId zone, FeedEntry entry) {}

    /** Without long words: the page has them. */
    private static List<FeedEntry> shorter(List<FeedEntry> entries) {
        return entries.stream().map(entry -> entry.withDescription("")).toList();
    }

    private static LocalDate first(List<Seen> seen) {
        return seen.stream()
                .map(FeedController::term)
                .map(Term::first)
                .min(LocalDate::compareTo)
                .orElseThrow();
    }

    private static LocalDate last(List<Seen> seen) {
        return seen.stream()
                .map(FeedController::term)
                .map(Term::last)
                .max(LocalDate::compareTo)
                .orElseThrow();
    }

    private static Term term(Seen seen) {
        return seen.sees().stored().decisions().term();
    }
}
