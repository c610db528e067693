package app.matsuri.core.findings;

import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.Standing;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/** Sections of a course that are more than {@link #MOST} lessons behind the one that is furthest, at the end of a week. */
final class SectionsApart {

    /** As many lessons apart are no finding. */
    static final int MOST = 3;

    private SectionsApart() {}

    static void look(Schedule schedule, Consumer<Finding> found) {
        Map<String, List<SectionSchedule>> courses = new LinkedHashMap<>();
        schedule.sections()
                .forEach(s -> courses.computeIfAbsent(s.course().code(), c -> new ArrayList<>())
                        .add(s));
        courses.values().stream().filter(list -> list.size() > 1).forEach(list -> course(list, found));
    }

    private static void course(List<SectionSchedule> sections, Consumer<Finding> found) {
        TeachingCalendar calendar = sections.get(0).calendar();
        List<int[]> reached = sections.stream().map(s -> reached(s, calendar)).toList();
        for (int s = 0; s < sections.size(); s++) {
            int since = 0;
            int most = 0;
            int worst = 0;
            int ahead = 0;
            for (int week = 1; week <= calendar.weeks(); week++) {
                int first = first(reached, week);
                int behind = reached.get(first)[week] - reached.get(s)[week];
                if (behind > MOST && since == 0) {
                    since = week;
                }
                if (behind > most) {
                    most = behind;
                    worst = week;
                    ahead = first;
                }
            }
            if (since > 0) {
                SectionSchedule in = sections.get(s);
                SectionSchedule other = sections.get(ahead);
                found.accept(new Finding(
                        "sections-apart",
                        Severity.WARNING,
                        Check.about(in, "section", in.section().code()),
                        "Section " + in.section().code() + " is up to " + most + " lessons behind section "
                                + other.section().code() + ", from week " + since + " on: at the end of week " + worst
                                + " it is at " + at(in, reached.get(s)[worst]) + ", "
                                + other.section().code()
                                + " at " + at(other, reached.get(ahead)[worst]) + ".",
                        null));
            }
        }
    }

    private static int first(List<int[]> reached, int week) {
        int first = 0;
        for (int s = 1; s < reached.size(); s++) {
            if (reached.get(s)[week] > reached.get(first)[week]) {
                first = s;
            }
        }
        return first;
    }

    /** How far the section is at the end of each week, as the number of the last lesson begun; from week 1 on. */
    private static int[] reached(SectionSchedule in, TeachingCalendar calendar) {
        int[] reached = new int[calendar.weeks() + 1];
        for (int week = 1; week <= calendar.weeks(); week++) {
            reached[week] =
                    Standing.reached(in, calendar.week(week).orElseThrow().plusDays(6));
        }
        return reached;
    }

    private static String at(SectionSchedule in, int reached) {
        return reached == 0
                ? "no lesson yet"
                : in.placements().get(reached - 1).lesson().id();
    }
}
