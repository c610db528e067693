package app.matsuri.core.findings;

import app.matsuri.core.schedule.Schedule;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** All findings of a schedule. To add a kind: one class, and one line in the list. */
public final class Findings {

    private static final List<Check> CHECKS = List.of(
            new LessonsWithoutSession(),
            new PinsWithoutSession(),
            new UnresolvedDates(),
            new WaitsForHand(),
            new DatesOutOfOrder(),
            new DatesOnDaysOff(),
            new DatesOutsideTerm(),
            new DueBeforeLesson(),
            new DueOutsideClassTime(),
            new TestsAroundBreaks(),
            new AcrossBreaks(),
            new StepsLongerThanSession(),
            new LinksNobodyOpens(),
            new NoticesAmiss(),
            new WeeksOverLimit(),
            new MinutesMissing(),
            new ToldOtherwise(),
            new UnitsTooTight(),
            new SessionsWithoutPlan(),
            new SessionRemarks());

    private Findings() {}

    /** As they are whatever day it is. */
    public static List<Finding> of(Schedule schedule) {
        return of(schedule, null);
    }

    /**
     * Problems first, then warnings, then remarks; within each in the order of the plan.
     *
     * @param today the day on which they are looked for; null for those alone that hang on no day
     */
    public static List<Finding> of(Schedule schedule, @Nullable LocalDate today) {
        List<Finding> all = new ArrayList<>();
        schedule.sections().forEach(section -> CHECKS.forEach(check -> check.look(section, all::add)));
        if (today != null) {
            schedule.sections().forEach(section -> ClassesWithoutRecord.look(section, today, all::add));
        }
        Clashes.look(schedule, all::add);
        TestsTogether.look(schedule, all::add);
        SectionsApart.look(schedule, all::add);
        HoursAmiss.look(schedule, all::add);
        all.sort(Comparator.comparing(Finding::severity));
        return all;
    }
}
