package app.matsuri.exchange.table;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.hours.PutOfficeHours;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.exchange.file.NamedColumns;
import app.matsuri.exchange.table.TableReading.Line;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.HoursSaid;
import app.matsuri.exchange.words.HoursWords;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Office hours as a table to be edited elsewhere: a row each, told by its name; when they are stands in the words in which they are typed.
 */
public final class HoursSheet {

    private static final String NAME = "office hours";
    private static final String WHEN = "when and how";
    private static final String COME = "how to come";
    private static final String LINK = "link";

    private static final List<TableSheet.Column> COLUMNS = List.of(
            new TableSheet.Column(NAME, 24),
            new TableSheet.Column(WHEN, 70),
            new TableSheet.Column(COME, 40),
            new TableSheet.Column(LINK, 40));

    private static final List<String> HOW = List.of(
            "A row is one kind of office hours, told by its name.",
            "When and how: as it is typed, such as “Tue 13-15, Fri 9-10 in 15 min, Weir House 1, 2 a week for HYD 210”.",
            "A row more, with another name, adds office hours. A row that is gone changes nothing.",
            "Only what differs from Matsuri is proposed when the file is read again; what is booked follows its slot.");

    private HoursSheet() {}

    /** As CSV. */
    public static String csv(Decisions decisions) {
        return sheet(decisions).csv();
    }

    /** As a workbook. */
    public static byte[] workbook(Decisions decisions) {
        return sheet(decisions).workbook();
    }

    private static TableSheet sheet(Decisions decisions) {
        List<List<Object>> rows = decisions.officeHours().stream()
                .map(h -> List.<Object>of(h.title(), HoursSaid.line(h), h.howToCome(), link(h)))
                .toList();
        return new TableSheet("Office hours", COLUMNS, rows, HOW);
    }

    private static String link(OfficeHours hours) {
        return hours.windows().stream()
                .map(MeetingPattern::link)
                .filter(l -> !l.isEmpty())
                .findFirst()
                .orElse("");
    }

    /** Whether a first row is that of the table of office hours; heads in lower case. */
    static boolean recognises(Collection<String> heads) {
        return heads.contains(NAME) && heads.contains(WHEN);
    }

    /** Reads the rows of the table, the first of which names the columns. */
    static TableReading read(List<List<String>> rows, Decisions decisions, DayWords days) {
        Map<String, Set<String>> names = Stream.of(NAME, WHEN, COME, LINK).collect(Collectors.toMap(c -> c, Set::of));
        NamedColumns columns = new NamedColumns(rows.get(0), names);
        Set<String> codes = decisions.courses().stream().map(c -> c.code()).collect(Collectors.toSet());
        Set<String> ids =
                decisions.officeHours().stream().map(OfficeHours::id).collect(Collectors.toCollection(HashSet::new));
        List<Line> lines = new ArrayList<>();
        List<Change> changes = new ArrayList<>();
        int same = 0;
        for (int r = 1; r < rows.size(); r++) {
            List<String> row = rows.get(r);
            String name = columns.cell(row, NAME);
            String when = columns.cell(row, WHEN);
            if (name.isEmpty() && when.isEmpty()) {
                continue;
            }
            HoursWords.Read read = HoursWords.read(when, days, codes);
            if (name.isEmpty() || !read.wrong().isEmpty()) {
                String wrong = name.isEmpty() ? "Give the office hours a name." : read.wrong();
                lines.add(new Line(r + 1, name, "", name.isEmpty() ? NAME : WHEN, "not-understood", wrong));
                continue;
            }
            OfficeHours was = decisions.officeHours().stream()
                    .filter(h -> h.title().equalsIgnoreCase(name))
                    .findFirst()
                    .orElse(null);
            OfficeHours now = read.over(was, was == null ? free(ids) : was.id(), name);
            now = columns.has(COME) ? now.comingAs(columns.cell(row, COME)) : now;
            now = columns.has(LINK) ? now.withLink(columns.cell(row, LINK)) : now;
            if (was != null && said(was).equals(said(now))) {
                same++;
                continue;
            }
            changes.add(new PutOfficeHours(now));
            lines.add(new Line(r + 1, name, "", "", "changed", HoursSaid.line(now)));
        }
        return new TableReading(lines, changes, same);
    }

    /** What the table says of them. */
    private static List<String> said(OfficeHours hours) {
        return List.of(HoursSaid.line(hours), hours.howToCome(), link(hours));
    }

    private static String free(Set<String> ids) {
        int n = 1;
        while (!ids.add("hours-" + n)) {
            n++;
        }
        return "hours-" + n;
    }
}
