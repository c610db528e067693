package app.matsuri.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.Plans;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import org.apache.poi.hssf.usermodel.HSSFWorkbook;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.DateUtil;
import org.apache.poi.ss.usermodel.FormulaEvaluator;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Reference library: Apache POI's WORKDAY and NETWORKDAYS (OpenFormula), over random calendars, both directions. */
class TeachingCalendarAgainstPoiTest {

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void agreesWithWorkdayAndNetworkdays(long seed) throws Exception {
        Random random = new Random(seed);
        LocalDate first = LocalDate.of(2024 + random.nextInt(5), 1 + random.nextInt(12), 1 + random.nextInt(28));
        LocalDate last = first.plusDays(60 + random.nextInt(240));
        TreeSet<LocalDate> closed = new TreeSet<>();
        List<Closure> closures = new ArrayList<>();
        for (int i = 0; i < random.nextInt(8); i++) {
            LocalDate from = first.plusDays(random.nextInt(200));
            LocalDate to = from.plusDays(random.nextInt(6));
            closures.add(Closure.of(from, to, "", "other"));
            from.datesUntil(to.plusDays(1)).forEach(closed::add);
        }
        TeachingCalendar calendar =
                TeachingCalendar.of(Term.of("", first, last, Plans.CHICAGO).withClosures(closures));
        try (HSSFWorkbook book = new HSSFWorkbook()) {
            Sheet sheet = book.createSheet();
            Row row = sheet.createRow(0);
            row.createCell(0).setCellValue(1); // a day long ago, so that the range is never empty
            int n = 1;
            for (LocalDate day : closed) {
                row.createCell(n++).setCellValue(DateUtil.getExcelDate(day));
            }
            String holidays = ",A1:" + row.getCell(n - 1).getAddress() + ")";
            Cell cell = sheet.createRow(1).createCell(0);
            FormulaEvaluator evaluator = book.getCreationHelper().createFormulaEvaluator();
            for (int i = 0; i < 150; i++) {
                LocalDate a = first.plusDays(random.nextInt(60));
                LocalDate b = a.plusDays(random.nextInt(120));
                int plus = random.nextBoolean() ? 1 + random.nextInt(40) : -1 - random.nextInt(40);
                cell.setCellFormula("WORKDAY(" + excel(a) + "," + plus + holidays);
                evaluator.clearAllCachedResultValues();
                LocalDate reference = DateUtil.getLocalDateTime(
                                evaluator.evaluate(cell).getNumberValue())
                        .toLocalDate();
                if (!reference.isBefore(first) && !reference.isAfter(last)) {
                    assertThat(calendar.plus(a, plus)).as("%s plus %d", a, plus).contains(reference);
                } else {
                    assertThat(calendar.plus(a, plus)).as("%s plus %d", a, plus).isEmpty();
                }
                if (!b.isAfter(last)) {
                    cell.setCellFormula("NETWORKDAYS(" + excel(a) + "," + excel(b) + holidays);
                    evaluator.clearAllCachedResultValues();
                    assertThat(calendar.count(a, b)).as("from %s to %s", a, b).isEqualTo((int)
                            evaluator.evaluate(cell).getNumberValue());
                }
            }
        }
    }

    private static String excel(LocalDate day) {
        return Long.toString((long) DateUtil.getExcelDate(day));
    }
}
