package app.matsuri.exchange.outline;

import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.exchange.sheet.Entry;
import app.matsuri.exchange.sheet.Work;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A part of a sheet with what it comes to in the section.
 *
 * @param row from 1; 0 for what concerns the whole
 * @param what "unit", "lesson", "work" or "nothing"
 * @param unit title of its unit; empty where the sheet has none
 * @param kind of work; empty else
 * @param sessions of a lesson; null else
 * @param date day of its first class; null for none
 * @param lesson title of the lesson that work belongs to; empty for none
 * @param doubt a sentence; empty where it is taken without asking
 */
public record OutlineRow(
        int row,
        String what,
        String unit,
        String title,
        String kind,
        @Nullable Integer sessions,
        @Nullable LocalDate date,
        String lesson,
        @Nullable LocalDateTime opens,
        @Nullable LocalDateTime due,
        @Nullable LocalDateTime closes,
        @Nullable BigDecimal points,
        @Nullable BigDecimal percent,
        @Nullable Integer minutes,
        String doubt) {

    static List<OutlineRow> of(Laying.Laid laid) {
        List<OutlineRow> rows = new ArrayList<>();
        HalfGroups.Labs labs = laid.labs();
        for (Entry entry : laid.entries()) {
            String unit = laid.unitTitles().getOrDefault(entry, "");
            String doubt = String.join(" ", entry.doubts());
            if (entry instanceof Entry.UnitBegins begins) {
                rows.add(bare(entry.row(), "unit", begins.title(), begins.title(), doubt));
            } else if (entry instanceof Entry.Taught lesson) {
                rows.add(lesson(
                        entry.row(),
                        unit,
                        lesson.title(),
                        lesson.sessions(),
                        day(laid.schedule(), laid.lessons().get(lesson)),
                        doubt));
            } else if (entry instanceof Entry.Given lab
                    && labs != null
                    && labs.lessons().containsKey(lab)) {
                String id = labs.lessons().get(lab);
                rows.add(lesson(entry.row(), unit, lab.work().title(), 1, day(labs.schedule(), id), doubt));
            } else if (entry instanceof Entry.Given given) {
                rows.add(work(laid, given, unit, doubt));
            } else {
                String why = laid.said().getOrDefault(entry, "");
                rows.add(bare(entry.row(), "nothing", unit, why, doubt));
            }
        }
        return rows;
    }

    private static OutlineRow bare(int row, String what, String unit, String title, String doubt) {
        return new OutlineRow(row, what, unit, title, "", null, null, "", null, null, null, null, null, null, doubt);
    }

    private static OutlineRow lesson(
            int row, String unit, String title, int sessions, @Nullable LocalDate date, String doubt) {
        return new OutlineRow(
                row, "lesson", unit, title, "", sessions, date, "", null, null, null, null, null, null, doubt);
    }

    private static @Nullable LocalDate day(@Nullable SectionSchedule schedule, @Nullable String lesson) {
        Placement placed = schedule == null ? null : schedule.byLesson().get(lesson);
        return schedule == null || placed == null || !placed.placed()
                ? null
                : schedule.sessions().get(placed.first()).date();
    }

    private static OutlineRow work(Laying.Laid laid, Entry.Given given, String unit, String doubt) {
        Work work = given.work();
        SectionSchedule schedule = laid.schedule();
        ItemDates dates =
                schedule == null ? null : schedule.byItem().get(laid.items().get(given));
        Entry.Taught lesson = given.lesson();
        return new OutlineRow(
                given.row(),
                "work",
                unit,
                work.title(),
                work.kind(),
                null,
                null,
                lesson == null ? "" : lesson.title(),
                at(dates, Which.OPENS),
                at(dates, Which.DUE),
                at(dates, Which.CLOSES),
                work.points(),
                work.percent(),
                work.minutes(),
                doubt);
    }

    private static @Nullable LocalDateTime at(@Nullable ItemDates dates, Which which) {
        Resolved came = dates == null ? null : dates.get(which);
        return came == null ? null : came.at();
    }
}
