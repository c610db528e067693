package app.matsuri.server.feed;

import java.time.Duration;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.util.MultiValueMap;

/**
 * What somebody subscribed to, as the address says it.
 *
 * @param busy classes take the reader's time
 * @param allDay what is due lasts the whole day
 * @param remind how long before what is due an alarm sounds; null for as the course says
 * @param silent no alarm sounds
 */
record FeedContents(
        Set<Kind> kinds,
        boolean busy,
        boolean allDay,
        @Nullable Duration remind,
        boolean silent) {

    /** The kinds of entries. */
    enum Kind {
        CLASSES,
        DUE,
        OPENS,
        CLOSES,
        NOTICES,
        /** When office hours are. */
        HOURS,
        /** Bookings of the reader. */
        BOOKINGS
    }

    private static final Set<Kind> USUAL = EnumSet.of(Kind.DUE, Kind.NOTICES, Kind.CLASSES);

    FeedContents {
        kinds = Set.copyOf(kinds);
    }

    /** Reads the address; what it does not know is left out, and where nothing is left the usual kinds stand. */
    static FeedContents of(MultiValueMap<String, String> query) {
        Set<Kind> kinds = EnumSet.noneOf(Kind.class);
        List<String> with = query.getOrDefault("with", List.of());
        for (Kind kind : Kind.values()) {
            if (with.contains(kind.name().toLowerCase(Locale.ROOT))) {
                kinds.add(kind);
            }
        }
        return new FeedContents(
                kinds.isEmpty() ? USUAL : kinds,
                "true".equals(query.getFirst("busy")),
                "true".equals(query.getFirst("allday")),
                remind(query.getFirst("remind")),
                "none".equals(query.getFirst("remind")));
    }

    /** Minutes, up to two weeks; what is no such number is none. */
    private static @Nullable Duration remind(@Nullable String minutes) {
        boolean number = minutes != null && minutes.matches("[1-9]\\d{0,4}");
        return number && Integer.parseInt(minutes) <= 20_160 ? Duration.ofMinutes(Integer.parseInt(minutes)) : null;
    }

    boolean has(Kind kind) {
        return kinds.contains(kind);
    }
}
