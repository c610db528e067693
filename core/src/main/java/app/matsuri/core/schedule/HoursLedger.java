package app.matsuri.core.schedule;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.plan.HoursAsked;
import app.matsuri.core.plan.Item;
import app.matsuri.core.session.Session;
import app.matsuri.core.session.Sessions.Lost;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * Classes and minutes of a section against what its course must have.
 *
 * @param sessions classes that take place
 * @param minutes minutes of class in them
 * @param taught minutes of class in those with a record
 * @param work expected minutes of students' work in all
 * @param asked minutes of class asked for; null for none
 * @param missing minutes of class that are missing, 0 or more
 * @param missingSessions the same in classes of the section's usual length, rounded up
 * @param leastInAll the fewest minutes of class and work together; null where nothing is asked of them together
 * @param mostInAll the most of them; null likewise
 * @param byWeekday classes by the weekday they stand on, only weekdays with one
 * @param weeks of each term week how many classes stand, and how many there would be without days off
 */
public record HoursLedger(
        int sessions,
        int minutes,
        int taught,
        int work,
        @Nullable Integer asked,
        int missing,
        int missingSessions,
        @Nullable Integer leastInAll,
        @Nullable Integer mostInAll,
        Map<DayOfWeek, Integer> byWeekday,
        List<WeekClasses> weeks) {

    /**
     * Classes of one week.
     *
     * @param week term week, from 1
     * @param stand classes that take place
     * @param usual the same and those that a day off took or that were cancelled or moved to another week
     */
    public record WeekClasses(int week, int stand, int usual) {

        /** Whether a week that has classes has fewer than it would. */
        public boolean isShort() {
            return stand < usual;
        }
    }

    public static HoursLedger of(SectionSchedule in) {
        int minutes = in.sessions().minutes();
        int taught = in.sessions().all().stream()
                .filter(Session::record)
                .mapToInt(Session::minutes)
                .sum();
        int work = in.dates().stream()
                .map(ItemDates::item)
                .filter(item -> item.minutes() != null)
                .mapToInt(Item::minutes)
                .sum();
        boolean meets = !in.section().meets().isEmpty();
        Integer asked = meets ? in.course().requiredMinutes() : null;
        int missing = asked == null ? 0 : Math.max(0, asked - minutes);
        int length = meets ? in.section().meets().get(0).minutes() : 1;
        HoursAsked hours = in.course().asks();
        Map<DayOfWeek, Integer> byWeekday = new EnumMap<>(DayOfWeek.class);
        in.sessions().all().forEach(s -> byWeekday.merge(s.date().getDayOfWeek(), 1, Integer::sum));
        return new HoursLedger(
                in.sessions().size(),
                minutes,
                taught,
                work,
                asked,
                missing,
                (missing + length - 1) / length,
                hours == null ? null : hours.leastMinutes(),
                hours == null ? null : hours.mostMinutes(),
                byWeekday,
                weeks(in));
    }

    private static List<WeekClasses> weeks(SectionSchedule in) {
        Map<Integer, int[]> counts = new TreeMap<>();
        for (int week = 1; week <= in.calendar().weeks(); week++) {
            counts.put(week, new int[2]);
        }
        for (Session session : in.sessions().all()) {
            add(counts, in, session.date(), 0);
            if (session.origin() != Session.Origin.ADDED) {
                add(counts, in, session.name().toLocalDate(), 1);
            }
        }
        for (Lost lost : in.sessions().lost()) {
            add(counts, in, lost.name().toLocalDate(), 1);
        }
        for (LocalDateTime cancelled : in.sessions().cancelled()) {
            add(counts, in, cancelled.toLocalDate(), 1);
        }
        List<WeekClasses> weeks = new ArrayList<>(counts.size());
        counts.forEach((week, n) -> weeks.add(new WeekClasses(week, n[0], n[1])));
        return weeks;
    }

    private static void add(Map<Integer, int[]> counts, SectionSchedule in, LocalDate day, int which) {
        in.calendar().weekNumber(day).ifPresent(week -> Known.in(counts, week)[which]++);
    }
}
