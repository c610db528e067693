package app.matsuri.server.feed;

import app.matsuri.core.shown.ShownSession;
import app.matsuri.exchange.calendar.FeedEntry.Repeats;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Sessions that repeat by weekdays, told by the names they had first.
 *
 * @param sessions by the day of their names
 * @param repeats null where the rule would have more days without a session than with one, and each stands alone
 */
record Series(
        LocalTime time,
        Duration length,
        Map<LocalDate, ShownSession> sessions,
        @Nullable Repeats repeats) {

    private record Key(LocalTime time, Duration length) {}

    /** The series that sessions with a time fall into; each of them in one. */
    static List<Series> of(List<ShownSession> sessions) {
        Map<Key, TreeMap<LocalDate, ShownSession>> groups = new LinkedHashMap<>();
        for (ShownSession session : sessions) {
            if (session.end() != null && session.timed()) {
                Key key = new Key(session.name().toLocalTime(), Duration.between(session.start(), session.end()));
                groups.computeIfAbsent(key, k -> new TreeMap<>())
                        .put(session.name().toLocalDate(), session);
            }
        }
        List<Series> series = new ArrayList<>();
        groups.forEach((key, days) -> series.add(new Series(key.time(), key.length(), days, repeats(key, days))));
        return series;
    }

    private static @Nullable Repeats repeats(Key key, TreeMap<LocalDate, ShownSession> days) {
        Set<DayOfWeek> weekdays = EnumSet.noneOf(DayOfWeek.class);
        days.keySet().forEach(day -> weekdays.add(day.getDayOfWeek()));
        LocalDate last = days.lastKey();
        List<LocalDate> without = days.firstKey()
                .datesUntil(last.plusDays(1))
                .filter(day -> weekdays.contains(day.getDayOfWeek()) && !days.containsKey(day))
                .toList();
        if (days.size() < 2 || without.size() >= days.size()) {
            return null;
        }
        String by = weekdays.stream().map(day -> day.name().substring(0, 2)).collect(Collectors.joining(","));
        int count = days.size() + without.size();
        return new Repeats("FREQ=WEEKLY;COUNT=" + count + ";BYDAY=" + by + ";WKST=MO", without);
    }
}
