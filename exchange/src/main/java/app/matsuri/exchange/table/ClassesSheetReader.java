package app.matsuri.exchange.table;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.section.ChangeSession;
import app.matsuri.core.change.section.PutSessionLinks;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Link;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import app.matsuri.core.session.SessionChange;
import app.matsuri.exchange.file.NamedColumns;
import app.matsuri.exchange.table.TableReading.Line;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.MomentWords;
import app.matsuri.exchange.words.TimeWords;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Reads the table of classes that was edited elsewhere, and says what differs. */
public final class ClassesSheetReader {

    private static final Map<String, Set<String>> COLUMNS = Stream.of(
                    "course", "section", "date", "starts", "ends", "place", "links", ClassesSheet.FIRST_START)
            .collect(Collectors.toMap(c -> c, Set::of));
    private static final Pattern LINK = Pattern.compile("(?s)(.*?)(https?://\\S+)");

    private final Schedule schedule;
    private final DayWords days;
    private final NamedColumns columns;
    private final List<Line> lines = new ArrayList<>();
    private final List<Change> changes = new ArrayList<>();
    private int same;

    private ClassesSheetReader(Schedule schedule, DayWords days, NamedColumns columns) {
        this.schedule = schedule;
        this.days = days;
        this.columns = columns;
    }

    /** Whether a first row is that of the table of classes; heads in lower case. */
    static boolean recognises(Collection<String> heads) {
        return heads.contains(ClassesSheet.FIRST_START) && heads.contains("date");
    }

    /** Reads the rows of the table, the first of which names the columns. */
    public static TableReading read(List<List<String>> rows, Decisions decisions, DayWords days) {
        ClassesSheetReader reader =
                new ClassesSheetReader(Schedule.of(decisions), days, new NamedColumns(rows.get(0), COLUMNS));
        for (int r = 1; r < rows.size(); r++) {
            reader.row(r + 1, rows.get(r));
        }
        return new TableReading(reader.lines, reader.changes, reader.same);
    }

    /** A row while it is read. */
    private record At(int row, SectionSchedule in) {}

    private void row(int number, List<String> row) {
        String course = columns.cell(row, "course");
        String section = columns.cell(row, "section");
        List<SectionSchedule> found = schedule.sections().stream()
                .filter(s -> course.isEmpty() || s.course().code().equalsIgnoreCase(course))
                .filter(s -> section.isEmpty() || s.section().code().equalsIgnoreCase(section))
                .toList();
        if (found.size() != 1) {
            String said = found.isEmpty() ? "There is no such section here." : "Give the course and the section.";
            lines.add(new Line(number, (course + " " + section).strip(), "", "", "unknown", said));
            return;
        }
        At at = new At(number, found.get(0));
        String name = columns.cell(row, ClassesSheet.FIRST_START);
        if (name.isEmpty()) {
            more(at, row);
            return;
        }
        Optional<MomentWords> first = MomentWords.read(name, days);
        Session session = at.in().sessions().all().stream()
                .filter(s ->
                        first.filter(f -> f.at(LocalTime.MIN).equals(s.name())).isPresent())
                .findFirst()
                .orElse(null);
        if (session == null) {
            say(at, name, "", "unknown", "There is no class that first began then.");
        } else {
            moved(at, session, row);
            links(at, session, columns.cell(row, "links"));
        }
    }

    private void moved(At at, Session session, List<String> row) {
        String title = Say.moment(session.start());
        String date = columns.cell(row, "date");
        if (date.isEmpty()) {
            change(at, new SessionChange.Cancel(session.name(), Extra.NONE));
            say(at, title, "date", "changed", "cancelled");
            return;
        }
        if (session.origin() == Session.Origin.BEAT) {
            LocalDate day = days.read(date).orElse(null);
            if (session.date().equals(day)) {
                same++;
            } else {
                say(at, title, "date", "unknown", "A day of a section without times is moved on the Wall.");
            }
            return;
        }
        LocalDateTime[] stretch = stretch(at, title, row, session);
        if (stretch == null) {
            return;
        }
        int minutes = (int) Duration.between(stretch[0], stretch[1]).toMinutes();
        boolean length = !Duration.between(session.start(), session.end()).equals(Duration.ofMinutes(minutes));
        if (stretch[0].equals(session.start()) && !length) {
            same++;
            return;
        }
        change(at, new SessionChange.Move(session.name(), stretch[0], length ? minutes : null, Extra.NONE));
        say(
                at,
                title,
                "date",
                "changed",
                title + " to " + Say.moment(stretch[0]) + (length ? ", " + minutes + " min" : ""));
    }

    /** From when to when a row says, or null where that was said to be no stretch of time. */
    private LocalDateTime @Nullable [] stretch(At at, String title, List<String> row, @Nullable Session session) {
        Optional<LocalDate> day = days.read(columns.cell(row, "date"));
        Optional<LocalTime> starts = time(columns.cell(row, "starts"), session == null ? null : session.start());
        Optional<LocalTime> ends = time(columns.cell(row, "ends"), session == null ? null : session.end());
        if (day.isEmpty() || starts.isEmpty() || ends.isEmpty()) {
            String wrong = day.isEmpty() ? "date" : starts.isEmpty() ? "starts" : "ends";
            String cell = columns.cell(row, wrong);
            String said = cell.isEmpty()
                    ? "A class has a date, a start and an end."
                    : "“" + cell + "” is no " + (day.isEmpty() ? "day" : "time") + " yet. Write 2026-10-08 or 09:30.";
            say(at, title, wrong, "not-understood", said);
            return null;
        }
        LocalDateTime from = day.get().atTime(starts.get());
        LocalDateTime to = day.get().atTime(ends.get());
        // a class may go on past midnight
        return new LocalDateTime[] {from, to.isAfter(from) ? to : to.plusDays(1)};
    }

    private static Optional<LocalTime> time(String cell, @Nullable LocalDateTime otherwise) {
        return cell.isEmpty() && otherwise != null
                ? Optional.of(otherwise.toLocalTime())
                : cell.matches("24[:.]00") ? Optional.of(LocalTime.MIDNIGHT) : TimeWords.field(cell);
    }

    private void more(At at, List<String> row) {
        LocalDateTime[] stretch = stretch(at, "a class more", row, null);
        if (stretch == null) {
            return;
        }
        boolean there =
                at.in().sessions().all().stream().anyMatch(s -> s.start().equals(stretch[0]));
        if (there) {
            same++;
            return;
        }
        int minutes = (int) Duration.between(stretch[0], stretch[1]).toMinutes();
        change(at, new SessionChange.Add(stretch[0], minutes, columns.cell(row, "place"), Extra.NONE));
        say(at, Say.moment(stretch[0]), "date", "changed", "one class more, " + minutes + " min");
    }

    private void links(At at, Session session, String cell) {
        List<Link> had = at.in().section().sessionLinks().getOrDefault(session.name(), List.of());
        if (!columns.has("links") || cell.equals(ClassesSheet.links(had).strip())) {
            return;
        }
        List<Link> links = new ArrayList<>();
        Matcher m = LINK.matcher(cell);
        int end = 0;
        while (m.find()) {
            links.add(new Link(m.group(1).strip().replaceAll("^[,;\\s]+|[:\\s]+$", ""), m.group(2)));
            end = m.end();
        }
        String title = Say.moment(session.start());
        if (!cell.substring(end).isBlank()) {
            say(at, title, "links", "not-understood", "“" + cell.substring(end).strip() + "” is no address.");
        } else if (!links.equals(had)) {
            changes.add(new PutSessionLinks(
                    at.in().course().code(), at.in().section().code(), session.name(), links));
            say(at, title, "links", "changed", Say.count(links.size(), "link"));
        }
    }

    private void change(At at, SessionChange change) {
        changes.add(new ChangeSession(at.in().course().code(), at.in().section().code(), change));
    }

    private void say(At at, String title, String column, String state, String said) {
        String section = at.in().course().code() + " " + at.in().section().code();
        lines.add(new Line(at.row(), title, section, column, state, said));
    }
}
