package app.matsuri.core.schedule;

import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.plan.Telling;
import app.matsuri.core.plan.Which;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * Students' work of a section by day: each thing is spread evenly over the teaching days from its opening, else from the day on
 * which students were told of it, else from a week before, to the day on which it is due.
 */
final class DailyWork {

    private final SectionSchedule in;
    private final Map<LocalDate, Integer> minutes = new TreeMap<>();

    private DailyWork(SectionSchedule in) {
        this.in = in;
    }

    /** Minutes by day; days without any are left out. */
    static Map<LocalDate, Integer> of(SectionSchedule in) {
        DailyWork work = new DailyWork(in);
        Stream.concat(in.dates().stream(), in.shared().stream().map(SharedDates::dates))
                .forEach(work::spread);
        return work.minutes;
    }

    private void spread(ItemDates item) {
        if (item.item().minutes() == null || item.main() == null) {
            return;
        }
        LocalDate due = item.main().toLocalDate();
        LocalDate from = from(item, due);
        TeachingCalendar calendar = in.calendar();
        List<LocalDate> days = new ArrayList<>();
        for (LocalDate day = from; !day.isAfter(due); day = day.plusDays(1)) {
            if (calendar.teaches(day)) {
                days.add(day);
            }
        }
        if (days.isEmpty()) {
            days.add(due);
        }
        int all = item.item().minutes();
        for (int i = 0; i < days.size(); i++) {
            int here = all * (i + 1) / days.size() - all * i / days.size();
            minutes.merge(days.get(i), here, Integer::sum);
        }
    }

    private LocalDate from(ItemDates item, LocalDate due) {
        LocalDate from = due.minusWeeks(1);
        LocalDateTime opens = item.at(Which.OPENS);
        if (opens != null) {
            from = opens.toLocalDate();
        } else if (in.section().told().work().containsKey(item.item().id())) {
            from = in.section().told().tellings().stream()
                    .map(Telling::at)
                    .filter(Objects::nonNull)
                    .map(LocalDateTime::toLocalDate)
                    .findFirst()
                    .orElse(from);
        }
        return from.isAfter(due)
                ? due
                : from.isBefore(in.calendar().term().first())
                        ? in.calendar().term().first()
                        : from;
    }
}
