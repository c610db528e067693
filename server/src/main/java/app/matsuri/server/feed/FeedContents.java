package app.matsuri.server.feed;

import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.springframework.util.MultiValueMap;

/**
 * What somebody subscribed to, as the address says it.
 *
 * @param busy classes take the reader's time
 * @param allDay what is due lasts the whole day
 * @param alarms whether reminders of the course come along
 */
record FeedContents(Set<Kind> kinds, boolean busy, boolean allDay, boolean alarms) {

    /** The kinds of entries. */
    enum Kind {
        CLASSES,
        DUE,
        OPENS,
        CLOSES,
        NOTICES
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
                !"none".equals(query.getFirst("alarms")));
    }

    boolean has(Kind kind) {
        return kinds.contains(kind);
    }
}
