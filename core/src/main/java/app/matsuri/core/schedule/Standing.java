package app.matsuri.core.schedule;

import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.flow.Placement;
import java.time.LocalDate;
import java.util.List;

/** How far sections of one course are on a day, by the lessons of the plan that they have begun. */
public final class Standing {

    private Standing() {}

    /** The number of the last lesson begun on the day or before, in the order of the plan; 0 for none. */
    public static int reached(SectionSchedule in, LocalDate day) {
        List<Placement> placements = in.placements();
        for (int n = placements.size() - 1; n >= 0; n--) {
            Placement placement = placements.get(n);
            if (placement.placed()
                    && !in.sessions().get(placement.first()).date().isAfter(day)) {
                return n + 1;
            }
        }
        return 0;
    }

    /** The last day of the day's week: sections that meet on other weekdays are compared there. */
    public static LocalDate weekEnd(TeachingCalendar calendar, LocalDate day) {
        return calendar.term().weekOf(day).plusDays(6);
    }

    /** The section that is furthest on the day; the first of several. */
    public static SectionSchedule furthest(List<SectionSchedule> sections, LocalDate day) {
        SectionSchedule first = sections.get(0);
        for (SectionSchedule schedule : sections) {
            first = reached(schedule, day) > reached(first, day) ? schedule : first;
        }
        return first;
    }

    /** How many lessons of the plan it has begun less than the other; negative where it has begun more. */
    public static int behind(SectionSchedule schedule, SectionSchedule other, LocalDate day) {
        return reached(other, day) - reached(schedule, day);
    }
}
