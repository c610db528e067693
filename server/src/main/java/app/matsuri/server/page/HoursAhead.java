package app.matsuri.server.page;

import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.hours.Slot;
import app.matsuri.core.hours.Slots;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.server.page.Seeing.Seen;
import app.matsuri.server.storage.Stored;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/** When office hours are, day by day: worked out once for as long as a plan is kept. */
@Component
class HoursAhead {

    /** How far a page looks ahead, in days. */
    private static final int AHEAD = 7;

    /** Looked up by being the same, not by being equal. */
    private final Cache<Stored, List<Day>> known =
            Caffeine.newBuilder().weakKeys().build();

    /** Office hours on a day, from the first slot to the last. */
    private record Day(OfficeHours of, Slot first, Slot last) {}

    /** Those of the next seven days for a section, in words. */
    List<SectionPage.Said> lines(Seen seen, PageWords words) {
        Stored stored = seen.sees().stored();
        if (stored.decisions().officeHours().isEmpty()) {
            return List.of();
        }
        LocalDate today = seen.shown().today();
        return known.get(stored, HoursAhead::days).stream()
                .filter(d -> d.of().isFor(seen.sees().section().course()))
                .filter(d ->
                        !d.first().date().isBefore(today) && d.first().date().isBefore(today.plusDays(AHEAD)))
                .map(d -> {
                    String span = words.say(
                            "span",
                            words.time(d.first().start()),
                            words.end(d.first().start(), d.last().end()));
                    String when = words.say("moment", words.day(d.first().date()), span);
                    String where = d.first().place();
                    return new SectionPage.Said(d.of().title(), where.isEmpty() ? when : when + ", " + where, "", "");
                })
                .toList();
    }

    /** Whether a section has any at all. */
    static boolean any(Seen seen) {
        return seen.sees().stored().decisions().officeHours().stream()
                .anyMatch(h -> h.isFor(seen.sees().section().course()));
    }

    private static List<Day> days(Stored stored) {
        TeachingCalendar calendar = TeachingCalendar.of(stored.decisions().term());
        List<Day> days = new ArrayList<>();
        for (OfficeHours hours : stored.decisions().officeHours()) {
            TreeMap<LocalDate, Day> byDay = new TreeMap<>();
            for (Slot slot : Slots.of(calendar, hours).all()) {
                if (!slot.blocked()) {
                    byDay.merge(slot.date(), new Day(hours, slot, slot), (a, b) -> new Day(hours, a.first(), b.last()));
                }
            }
            days.addAll(byDay.values());
        }
        days.sort(Comparator.comparing(d -> d.first().start()));
        return days;
    }
}
