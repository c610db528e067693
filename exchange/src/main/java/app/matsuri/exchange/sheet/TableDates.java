package app.matsuri.exchange.sheet;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.IsoFields;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** When the rows of a table are: by their dates, or by the weeks that they count. */
final class TableDates {

    private static final Pattern NUMBER = Pattern.compile(
            "(?iu)\\s*(?:(?:teaching )?week|wk\\.?|woche|kw|semaine|semana|w)?\\s*(\\d{1,2})\\b.*", Pattern.DOTALL);

    private final List<SheetRow> rows;
    private final Columns columns;
    private final SheetDays days;
    private final SheetTerm term;
    private final List<Entry> entries;

    private int week;

    TableDates(List<SheetRow> rows, Columns columns, SheetDays days, List<Entry> entries) {
        this.rows = rows;
        this.columns = columns;
        this.days = days;
        this.term = days.of();
        this.entries = entries;
    }

    /** The last week that was counted; 0 where none was. */
    int week() {
        return week;
    }

    /** The days of a row, or the week that it counts. */
    void read(RowRead now) {
        String cell = columns.cell(now.row, Meaning.DATE);
        String weeks = columns.cell(now.row, Meaning.WEEK);
        List<SheetDays.Found> found = days.find(cell);
        if (found.isEmpty()) {
            found = days.find(weeks);
        }
        Matcher number = NUMBER.matcher(weeks);
        boolean counted = days.find(weeks).isEmpty() && number.matches();
        int before = week;
        if (counted) {
            week = ofTerm(Integer.parseInt(number.group(1)));
        }
        if (!found.isEmpty()) {
            SheetDays.Found day = found.get(0);
            now.first = day.first();
            now.until = found.get(found.size() - 1).last();
            boolean span = !day.first().equals(day.last());
            now.ofWeek = day.last().isAfter(day.first().plusDays(2))
                    || span
                            && RowWords.labelled(columns.cell(now.row, Meaning.LESSON))
                                            .days()
                                            .size()
                                    == 1
                    || weekOf(cell, day);
            if (now.ofWeek && !span) {
                now.until = now.first.plusDays(6);
            }
            if (!day.wrong().isEmpty()) {
                entries.add(Entry.doubt(now.row.number(), "“" + cell.strip() + "”: " + day.wrong()));
            }
        } else if (!columns.has(Meaning.DATE) && week > 0) {
            now.ofWeek = counted && week != before && several(now);
            LocalDate monday = week <= term.weeks().size() ? term.weeks().get(week - 1) : null;
            if (monday != null && now.ofWeek) {
                now.first = monday;
                now.until = monday.plusDays(6);
            }
        }
    }

    /** A week of the term by the number that a sheet gives it: its own, or that of the year (ISO 8601), where it is larger. */
    private int ofTerm(int number) {
        for (int w = 0; number > term.weeks().size() && w < term.weeks().size(); w++) {
            if (term.weeks().get(w).plusDays(3).get(IsoFields.WEEK_OF_WEEK_BASED_YEAR) == number) {
                return w + 1;
            }
        }
        return number;
    }

    /** Whether a single date names a week: the head says it, or "w/c 26 October". */
    private boolean weekOf(String cell, SheetDays.Found day) {
        int c = columns.at(Meaning.DATE);
        String head = c < 0 ? "" : columns.names().get(c).toLowerCase(Locale.ROOT);
        boolean monday =
                day.first().getDayOfWeek() == DayOfWeek.MONDAY || day.first().getDayOfWeek() == DayOfWeek.SUNDAY;
        return monday
                && (head.matches(".*\\bweek( of|beginning|\\b).*")
                        || cell.matches("(?i).*\\b(?:w/?[cbk]|week of|week beginning|ab)\\b.*"));
    }

    /** Whether a row with a week's number stands for all its classes: no row below belongs to the same week. */
    private boolean several(RowRead now) {
        int at = rows.indexOf(now.row);
        for (int r = at + 1; r < rows.size(); r++) {
            SheetRow next = rows.get(r);
            if (next.blank()) {
                continue;
            }
            String number = columns.cell(next, Meaning.WEEK);
            return !number.isBlank() && !number.equals(columns.cell(now.row, Meaning.WEEK))
                    || columns.cell(next, Meaning.LESSON).isBlank();
        }
        return true;
    }
}
