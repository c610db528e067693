package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.exchange.sheet.Entry;
import app.matsuri.exchange.sheet.Sheet;
import app.matsuri.exchange.sheet.Work;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What is to be asked of a person when a sheet was laid into a course. */
final class LayingDoubts {

    private LayingDoubts() {}

    /**
     * Two dates side by side where the plan's is not the sheet's, as doubts of the lessons.
     *
     * @return lessons that may be on the sheet's date instead of the plan's
     */
    static Set<Entry> compared(Sheet.Reading sheet, Map<Entry.Taught, String> lessonIds, SectionSchedule schedule) {
        Set<Entry> differing = Collections.newSetFromMap(new IdentityHashMap<>());
        for (Entry entry : sheet.entries()) {
            if (entry instanceof Entry.Taught taught && taught.doubts().isEmpty()) {
                Placement placed = schedule.byLesson().get(lessonIds.get(taught));
                if (placed == null || placed.leftOut()) {
                    continue;
                }
                LocalDate day = taught.day();
                if (!placed.placed() || placed.noSession()) {
                    taught.doubts()
                            .add(
                                    placed.why() == Placement.Lack.BEFORE_PIN
                                            ? "No class is left for it before the next lesson with a date of its own."
                                            : "The term has no class left for it.");
                } else if (day != null && !sheet.old() && !taught.same()) {
                    LocalDate came = schedule.sessions().get(placed.first()).date();
                    if (!came.equals(day)) {
                        taught.doubts().add("Sheet: " + Say.day(day) + "; plan: " + Say.day(came) + ".");
                        if (schedule.sessions().all().stream()
                                .anyMatch(s -> s.open() && s.date().equals(day))) {
                            differing.add(taught);
                        }
                    }
                } else if (taught.opensWeek() && taught.week() > 0 && day == null && !sheet.old()) {
                    LocalDate came = schedule.sessions().get(placed.first()).date();
                    int week = schedule.calendar().weekNumber(came).orElse(taught.week());
                    if (week != taught.week()) {
                        taught.doubts()
                                .add("Sheet: week " + taught.week() + "; plan: week " + week + ", " + Say.day(came)
                                        + ".");
                    }
                }
            }
        }
        return differing;
    }

    /**
     * What is to be asked about the whole sheet.
     *
     * @param undatedItems ids of those of its work that it gives no date
     */
    static List<Entry> ofTheWhole(
            Map<String, Entry.Given> givenByItem, Set<String> undatedItems, @Nullable SectionSchedule schedule) {
        List<Entry> whole = new ArrayList<>();
        BigDecimal percent = BigDecimal.ZERO;
        int shares = 0;
        int undated = 0;
        int labs = 0;
        for (Map.Entry<String, Entry.Given> one : givenByItem.entrySet()) {
            Work work = one.getValue().work();
            if (work.percent() != null) {
                percent = percent.add(work.percent());
                shares++;
            }
            boolean no = undatedItems.contains(one.getKey());
            undated += no && work.kind().equals("homework") ? 1 : 0;
            labs += no && work.kind().equals("lab") ? 1 : 0;
        }
        if (shares >= 3 && percent.compareTo(BigDecimal.valueOf(100)) != 0) {
            whole.add(asked("The shares of the grade come to "
                    + percent.stripTrailingZeros().toPlainString() + " %, not 100 %."));
        }
        if (undated > 0) {
            whole.add(asked((undated == 1 ? "One homework" : undated + " homeworks")
                    + " without a date: due with the next class? They stand without one."));
        }
        if (labs > 1) {
            whole.add(
                    asked(
                            labs
                                    + " labs without a date of their own: do they meet outside these classes? They stand as work of their lessons."));
        }
        if (schedule != null) {
            int missing = schedule.placements().stream()
                    .filter(p -> p.why() == Placement.Lack.TERM_ENDS)
                    .mapToInt(Placement::missing)
                    .sum();
            if (missing > 0) {
                whole.add(asked("The lessons need " + (missing == 1 ? "one class" : missing + " classes")
                        + " more than the term has: drop or join some."));
            }
        }
        return whole;
    }

    private static Entry asked(String doubt) {
        return new Entry.Nothing(0, "", new ArrayList<>(List.of(doubt)));
    }
}
