package app.matsuri.core.rollover;

import static app.matsuri.core.Plans.day;
import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.Plans;
import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.session.Session;
import app.matsuri.core.session.Sessions;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.apache.poi.hssf.usermodel.HSSFWorkbook;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.DateUtil;
import org.apache.poi.ss.usermodel.FormulaEvaluator;
import org.apache.poi.ss.usermodel.Row;
import org.junit.jupiter.api.Test;

/**
 * Reference library: Apache POI's NETWORKDAYS and WORKDAY (OpenFormula). By class a date on a teaching day comes to
 * WORKDAY(new class, NETWORKDAYS(day behind the old class, date)), each with the days off of its own term.
 */
class RolloverAgainstPoiTest {

    private static final Term OLD = Plans.demoTerm();
    private static final Term NEW = Term.of("Spring 2027", day("2027-01-19"), day("2027-05-07"), Plans.CHICAGO)
            .withClosures(List.of(
                    Closure.of(day("2027-02-15"), day("2027-02-15"), "Staff day", "staff-day"),
                    Closure.of(day("2027-03-15"), day("2027-03-19"), "Spring break", "break")));

    /** The days off of a term in a row of a sheet, and the range that they fill. */
    private static String holidays(Row row, Term term) {
        int n = 0;
        for (Closure closure : term.closures()) {
            for (LocalDate day = closure.first(); !day.isAfter(closure.last()); day = day.plusDays(1)) {
                row.createCell(n++).setCellValue(DateUtil.getExcelDate(day));
            }
        }
        return row.getCell(0).getAddress() + ":" + row.getCell(n - 1).getAddress();
    }

    private static String excel(LocalDate day) {
        return String.valueOf((long) DateUtil.getExcelDate(day));
    }

    @Test
    void byClassKeepsTheDistanceThatWorkdayCounts() throws Exception {
        Random random = new Random(20270119);
        List<Item> items = new ArrayList<>();
        List<LocalDate> dates = Schedule.of(Decisions.of(OLD, List.of())).calendar().teachingDays().stream()
                .filter(d -> d.isBefore(day("2026-12-10")))
                .toList();
        for (int i = 0; i < 120; i++) {
            LocalDate date = dates.get(random.nextInt(dates.size()));
            // behind the day's class, so that a class of the day is the last one before
            items.add(Item.of("I" + i, null, "homework", "Work " + i, DateRule.at(date.atTime(17, i % 60))));
        }
        Decisions from =
                Decisions.of(OLD, List.of(Plans.course(Plans.sectionA(), Unit.of("U", "Unit", List.of(), items))));
        RolledOver over = Rollover.of(from, "HYD 210", new RollBy.ByClass()).into(Decisions.of(NEW, List.of()));
        Sessions had = Schedule.of(from).sections().get(0).sessions();
        Sessions has = over.schedule().sections().get(0).sessions();
        try (HSSFWorkbook book = new HSSFWorkbook()) {
            var sheet = book.createSheet();
            String then = holidays(sheet.createRow(0), OLD);
            String now = holidays(sheet.createRow(1), NEW);
            Cell cell = sheet.createRow(2).createCell(0);
            FormulaEvaluator evaluator = book.getCreationHelper().createFormulaEvaluator();
            int compared = 0;
            for (Rolled row : over.rows()) {
                LocalDate old = row.old().toLocalDate();
                int index = had.firstAfter(row.old()) - 1;
                Session session = had.get(index);
                String distance = old.equals(session.date())
                        ? "0"
                        : "NETWORKDAYS(" + excel(session.date().plusDays(1)) + "," + excel(old) + "," + then + ")";
                cell.setCellFormula("WORKDAY(" + excel(has.get(index).date()) + "," + distance + "," + now + ")");
                evaluator.clearAllCachedResultValues();
                LocalDateTime reference = DateUtil.getLocalDateTime(
                                evaluator.evaluate(cell).getNumberValue())
                        .toLocalDate()
                        .atTime(row.old().toLocalTime());
                assertThat(row.now()).as("%s: %s", row.old(), row.why()).isEqualTo(reference);
                compared++;
            }
            assertThat(compared).isEqualTo(120);
        }
    }
}
