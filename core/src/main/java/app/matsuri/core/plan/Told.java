package app.matsuri.core.plan;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * What the students of a section were told: a snapshot, the one place where computed dates are kept. It stays as it is
 * until they are told again, whatever the plan becomes.
 *
 * @param lessons lesson id to the day of its first session
 * @param sessions the name of a session to what they were told of it; empty where they were told days alone
 * @param work id of work, or of a notice among work, to its dates
 * @param upTo the last day whose dates were told; null for all of the term
 * @param tellings each time that they were told something, in order of time
 */
public record Told(
        Map<String, LocalDate> lessons,
        Map<LocalDateTime, ToldSession> sessions,
        Map<String, OfWork> work,
        @Nullable LocalDate upTo,
        List<Telling> tellings) {

    /** Nothing was told yet. */
    public static final Told NOTHING = new Told(Map.of(), Map.of(), Map.of(), null, List.of());

    /**
     * The dates of one piece of work as they were told.
     *
     * @param title as it was then, for when the work is gone
     * @param dates those that were told
     * @param entries of a notice that repeats, when each of its entries begins; empty for anything else
     */
    public record OfWork(String title, Map<Which, LocalDateTime> dates, List<LocalDateTime> entries) {

        /** Something that is once. */
        public OfWork(String title, Map<Which, LocalDateTime> dates) {
            this(title, dates, List.of());
        }

        public OfWork {
            Objects.requireNonNull(title, "title");
            Map<Which, LocalDateTime> copy = new EnumMap<>(Which.class);
            copy.putAll(dates);
            dates = Collections.unmodifiableMap(copy);
            entries = List.copyOf(entries);
        }
    }

    public Told {
        lessons = Collections.unmodifiableMap(new TreeMap<>(lessons));
        sessions = Collections.unmodifiableMap(new TreeMap<>(sessions));
        work = Collections.unmodifiableMap(new TreeMap<>(work));
        tellings = List.copyOf(tellings);
    }

    /** The same with other tellings. */
    public Told withTellings(List<Telling> others) {
        return new Told(lessons, sessions, work, upTo, others);
    }

    /** The same with work as it is told now. */
    public Told withWork(Map<String, OfWork> others) {
        return new Told(lessons, sessions, others, upTo, tellings);
    }

    /** The same with sessions as they are told now. */
    public Told withSessions(Map<LocalDateTime, ToldSession> others) {
        return new Told(lessons, others, work, upTo, tellings);
    }

    /** The days of lessons alone, as a file gives them that knows no more. */
    public static Told of(Map<String, LocalDate> lessons) {
        return new Told(lessons, Map.of(), Map.of(), null, List.of());
    }

    /** Whether students were told anything; before that, no change tells them. */
    public boolean begun() {
        return !lessons.isEmpty() || !work.isEmpty() || !tellings.isEmpty();
    }
}
