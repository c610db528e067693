package app.matsuri.server.feed;

import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.plan.Which;
import app.matsuri.core.shown.Shown;
import app.matsuri.core.shown.ShownMove;
import app.matsuri.core.shown.ShownNotice;
import app.matsuri.core.shown.ShownSession;
import app.matsuri.core.shown.ShownThing;
import app.matsuri.exchange.calendar.FeedEntry;
import app.matsuri.server.feed.FeedContents.Kind;
import app.matsuri.server.page.PageWords;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What one reader sees of one section, as entries of a feed. */
final class Feeds {

    /** What is due is an entry of so many minutes that ends then. */
    private static final int MINUTES = 15;

    private static final Pattern NO_NAME = Pattern.compile("[^A-Za-z0-9-]");

    private final Shown shown;
    private final long termId;
    private final ZoneId zone;
    private final PageWords words;
    private final FeedContents contents;
    private final Alarms alarms;
    private final Function<ShownSession, List<String>> notes;
    private final Function<ThingRef, String> address;
    private final String page;
    private final Instant stamp;
    /** How often a date was told otherwise, by what it is and of which thing. */
    private final Map<String, Integer> told = new HashMap<>();

    /**
     * @param notes private ones of a class, for who teaches; none for students
     * @param address where a thing stands on the page
     * @param page the page of the section
     */
    Feeds(
            Shown shown,
            long termId,
            ZoneId zone,
            PageWords words,
            FeedContents contents,
            Alarms alarms,
            Function<ShownSession, List<String>> notes,
            Function<ThingRef, String> address,
            String page) {
        this.shown = shown;
        this.termId = termId;
        this.zone = zone;
        this.words = words;
        this.contents = contents;
        this.alarms = alarms;
        this.notes = notes;
        this.address = address;
        this.page = page;
        LocalDateTime at = shown.told();
        this.stamp = (at == null
                        ? shown.weeks().stream()
                                .map(w -> w.first().atStartOfDay())
                                .findFirst()
                                .orElse(shown.now())
                        : at)
                .atZone(zone)
                .toInstant();
        shown.moves().forEach(m -> told.merge(m.what() + " " + m.key(), 1, Integer::sum));
    }

    /** All that it shows. */
    List<FeedEntry> entries() {
        List<FeedEntry> entries = new ArrayList<>();
        if (contents.has(Kind.CLASSES)) {
            classes(entries);
        }
        for (ShownThing thing : shown.things()) {
            date(entries, thing, Which.DUE, Kind.DUE);
            date(entries, thing, Which.OPENS, Kind.OPENS);
            date(entries, thing, Which.CLOSES, Kind.CLOSES);
        }
        if (contents.has(Kind.NOTICES)) {
            shown.notices().forEach(notice -> notices(entries, notice));
        }
        return entries;
    }

    /** What was told away, so that whoever imported it once gets rid of it by importing again. */
    List<FeedEntry> away() {
        List<FeedEntry> away = new ArrayList<>();
        Map<String, ShownMove> last = new HashMap<>();
        shown.moves().forEach(m -> last.putIfAbsent(m.what() + " " + m.key(), m));
        last.values().forEach(move -> {
            LocalDateTime from = move.from();
            Kind kind = kind(move.what());
            if (move.to() == null && from != null && kind != Kind.CLASSES && contents.has(kind)) {
                away.add(new FeedEntry(
                        uid(move.what(), shown.section().course(), move.key()),
                        sequence(move.what(), move.key()),
                        stamp,
                        from.minusMinutes(MINUTES),
                        from,
                        false,
                        words.say("feed.entry", shown.section().course(), move.title()),
                        move.why(),
                        "",
                        page,
                        words.say("feed." + (kind == Kind.NOTICES ? "notice" : "due")),
                        false,
                        true,
                        null,
                        null,
                        List.of()));
            }
        });
        return away;
    }

    private static Kind kind(String what) {
        return switch (what) {
            case "due" -> Kind.DUE;
            case "opens" -> Kind.OPENS;
            case "closes" -> Kind.CLOSES;
            default -> Kind.CLASSES;
        };
    }

    private String uid(String what, String course, String id) {
        String section = shown.section().toString();
        return NO_NAME.matcher(what + "-" + course + "-" + id + "-" + section + "-" + termId)
                        .replaceAll("_")
                + "@matsuri";
    }

    private int sequence(String what, String key) {
        return told.getOrDefault(what + " " + key, 0);
    }

    private void date(List<FeedEntry> entries, ShownThing thing, Which which, Kind kind) {
        LocalDateTime at = thing.at(which);
        // what is never due stands with its closing
        boolean wanted =
                contents.has(kind) || kind == Kind.CLOSES && contents.has(Kind.DUE) && thing.at(Which.DUE) == null;
        if (at == null || !wanted) {
            return;
        }
        String what = which.name().toLowerCase(Locale.ROOT);
        boolean day = contents.allDay() && which != Which.OPENS;
        String key = which == Which.DUE ? "feed.entry" : which == Which.OPENS ? "feed.opens" : "feed.closes";
        LocalDateTime end =
                day ? at.toLocalDate().plusDays(1).atStartOfDay() : which == Which.OPENS ? at.plusMinutes(MINUTES) : at;
        entries.add(new FeedEntry(
                uid(what, thing.ref().course(), thing.ref().id()),
                sequence(what, thing.ref().id()),
                stamp,
                day ? at.toLocalDate().atStartOfDay() : which == Which.OPENS ? at : at.minusMinutes(MINUTES),
                end,
                day,
                words.say(key, shown.section().course(), thing.title()),
                description(thing),
                "",
                address.apply(thing.ref()),
                thing.about() == null
                        ? words.say("feed.due")
                        : words.kind(thing.about().kind()),
                false,
                false,
                null,
                null,
                alarms.of(thing, which, at, end)));
    }

    private String description(ShownThing thing) {
        List<String> lines = new ArrayList<>();
        LocalDateTime opens = thing.at(Which.OPENS);
        LocalDateTime due = thing.at(Which.DUE);
        LocalDateTime closes = thing.at(Which.CLOSES);
        if (due != null) {
            lines.add(words.say("due.on", words.moment(due)));
        }
        if (closes != null) {
            lines.add(words.say("closes.at", words.moment(closes)));
        }
        if (opens != null) {
            lines.add(words.say(thing.open() ? "open.since" : "opens.at", words.moment(opens)));
        }
        if (thing.own()) {
            lines.add(words.say("own"));
        }
        thing.links().forEach(link -> lines.add((link.title().isBlank() ? "" : link.title() + ": ") + link.url()));
        return String.join("\n", lines);
    }

    /** A notice, or each entry of one that repeats. */
    private void notices(List<FeedEntry> entries, ShownNotice notice) {
        if (notice.entries().isEmpty()) {
            entries.add(notice(notice, notice.begins(), notice.ends(), notice.last(), notice.id()));
        }
        for (LocalDateTime at : notice.entries()) {
            entries.add(notice(notice, at, null, at.toLocalDate(), notice.id() + "-" + at));
        }
    }

    private FeedEntry notice(
            ShownNotice notice, LocalDateTime begins, @Nullable LocalDateTime ends, LocalDate last, String id) {
        List<String> lines = new ArrayList<>();
        if (!notice.text().isBlank()) {
            lines.add(notice.text());
        }
        notice.links().forEach(link -> lines.add((link.title().isBlank() ? "" : link.title() + ": ") + link.url()));
        LocalDateTime end = notice.wholeDays()
                ? last.plusDays(1).atStartOfDay()
                : ends == null || !ends.isAfter(begins) ? begins.plusMinutes(MINUTES) : ends;
        return new FeedEntry(
                uid("notice", notice.course(), id),
                sequence("opens", "notice:" + notice.id()) + sequence("closes", "notice:" + notice.id()),
                stamp,
                begins,
                end,
                notice.wholeDays(),
                words.say("feed.entry", shown.section().course(), notice.title()),
                String.join("\n", lines),
                notice.place(),
                page,
                words.say("feed.notice"),
                false,
                false,
                null,
                null,
                List.of());
    }

    private void classes(List<FeedEntry> entries) {
        for (Series series : Series.of(shown.sessions())) {
            String uid = uid(
                    "class",
                    shown.section().course(),
                    series.time() + "-" + series.length().toMinutes());
            if (series.repeats() != null) {
                ShownSession first = series.sessions().values().iterator().next();
                LocalDateTime start = first.name();
                entries.add(session(
                        uid,
                        first,
                        start,
                        start.plus(series.length()),
                        words.say("feed.entry", shown.section().course(), words.say("feed.class")),
                        null,
                        series.repeats()));
            }
            series.sessions().values().forEach(session -> {
                LocalDateTime end = session.end();
                if (end != null) {
                    boolean alone = series.repeats() == null;
                    entries.add(session(
                            alone
                                    ? uid(
                                            "class",
                                            shown.section().course(),
                                            session.name().toString())
                                    : uid,
                            session,
                            session.start(),
                            end,
                            title(session),
                            alone ? null : session.name(),
                            null));
                }
            });
        }
        shown.sessions().stream().filter(s -> !s.timed()).forEach(session -> {
            LocalDateTime day = session.day().atStartOfDay();
            entries.add(session(
                    uid("class", shown.section().course(), session.name().toString()),
                    session,
                    day,
                    day.plusDays(1),
                    title(session),
                    null,
                    null));
        });
    }

    private String title(ShownSession session) {
        String lessons =
                session.lessons().stream().map(ShownSession.Part::title).collect(Collectors.joining("; "));
        return words.say("feed.entry", shown.section().course(), lessons.isEmpty() ? words.say("feed.class") : lessons);
    }

    private FeedEntry session(
            String uid,
            ShownSession session,
            LocalDateTime start,
            LocalDateTime end,
            String title,
            @Nullable LocalDateTime instanceOf,
            FeedEntry.@Nullable Repeats repeats) {
        boolean timed = session.timed();
        List<String> lines = new ArrayList<>(session.link().isEmpty() ? List.of() : List.of(session.link()));
        if (repeats == null) {
            lines.addAll(notes.apply(session)); // of a series each class has its own
        }
        return new FeedEntry(
                uid,
                Math.max(0, shown.tellings() - 1),
                stamp,
                start,
                end,
                !timed,
                title,
                String.join("\n", lines),
                session.place(),
                page,
                words.say("feed.class"),
                timed && contents.busy(),
                false,
                instanceOf,
                repeats,
                timed ? alarms.ofClass(start, end) : List.of());
    }
}
