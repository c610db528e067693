package app.matsuri.server.lookback;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Together;
import app.matsuri.core.change.pace.SetLength;
import app.matsuri.core.change.plan.RememberPace;
import app.matsuri.core.findings.Findings;
import app.matsuri.core.lookback.LookBack;
import app.matsuri.core.lookback.UnitPace;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Took;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.With;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.server.history.History;
import app.matsuri.server.lookback.LookBackView.LookCell;
import app.matsuri.server.lookback.LookBackView.LookRow;
import app.matsuri.server.lookback.LookBackView.LookTerm;
import app.matsuri.server.lookback.LookBackView.LookUnit;
import app.matsuri.server.storage.Stored;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Lays the pace of a section's units out beside that of earlier terms. */
final class LookBackBuilder {

    /** How many earlier terms are shown where none are named. */
    private static final int SHOWN = 2;

    private final Stored stored;
    private final SectionSchedule here;
    private final List<Earlier> earlier;
    private final List<Earlier> shown;
    private final History.Ends ends;

    /** An earlier term, and the section of the course in it. */
    record Earlier(Stored stored, SectionSchedule section) {}

    LookBackBuilder(
            Stored stored, SectionSchedule schedule, List<Earlier> earlier, List<Long> terms, History.Ends ends) {
        this.stored = stored;
        this.here = schedule;
        this.earlier = earlier;
        this.ends = ends;
        shown = earlier.stream()
                .filter(e -> terms == null
                        ? earlier.indexOf(e) < SHOWN
                        : terms.contains(e.stored().termId()))
                .toList();
    }

    LookBackView view(LocalDate today) {
        List<Took> took = new ArrayList<>();
        earlier.forEach(e -> took.addAll(
                LookBack.took(e.section(), e.stored().decisions().term().name())));
        List<Took> known = here.course().besides().took();
        List<Took> news = took.stream()
                .filter(t -> !known.contains(t) && here.course().unit(t.unit()).isPresent())
                .toList();
        List<Took> all = known;
        for (Took one : news) {
            all = With.put(all, t -> t.same(one), one);
        }
        List<LookUnit> units = new ArrayList<>();
        for (UnitPace pace : LookBack.of(here)) {
            units.add(unit(pace, all));
        }
        Schedule schedule = Schedule.of(stored.decisions());
        return new LookBackView(
                stored.termId(),
                stored.decisions().term().name(),
                stored.version(),
                here.course().code(),
                here.section().code(),
                here.course().sections().stream().map(Section::code).toList(),
                stored.decisions().courses().stream().map(Course::code).toList(),
                earlier.stream()
                        .map(e -> new LookTerm(
                                e.stored().termId(),
                                e.stored().decisions().term().name(),
                                e.stored().decisions().term().first(),
                                shown.contains(e)))
                        .toList(),
                units,
                news.isEmpty()
                        ? null
                        : ChangeJson.write(new RememberPace(here.course().code(), news)),
                Findings.of(schedule, today).size(),
                ends.undo().map(History.Line::sentence).orElse(null),
                ends.redo().map(History.Line::sentence).orElse(null));
    }

    private LookUnit unit(UnitPace pace, List<Took> all) {
        Unit unit = pace.unit();
        List<LookRow> rows = new ArrayList<>();
        rows.add(row(stored, pace, true, null));
        for (Earlier one : shown) {
            LookBack.of(one.section()).stream()
                    .filter(p -> p.unit().id().equals(unit.id()))
                    .findFirst()
                    .ifPresent(p -> rows.add(row(one.stored(), p, false, use(one, p, unit))));
        }
        List<Took> took = all.stream().filter(t -> t.unit().equals(unit.id())).toList();
        int least = took.stream().mapToInt(Took::sessions).min().orElse(0);
        int most = took.stream().mapToInt(Took::sessions).max().orElse(0);
        return new LookUnit(
                unit.id(),
                unit.code(),
                unit.title(),
                here.course().units().indexOf(unit),
                unit.colour().isEmpty() ? null : unit.colour(),
                took.isEmpty() ? null : least == most ? "" + least : least + " to " + most,
                pace.state() != UnitPace.State.TAUGHT && pace.usual() < least,
                rows);
    }

    private static LookRow row(Stored of, UnitPace pace, boolean here, @Nullable Map<String, Object> use) {
        return new LookRow(
                of.termId(),
                of.decisions().term().name(),
                here,
                word(pace.state()),
                pace.planned(),
                pace.taught(),
                pace.sessions(),
                pace.cells().stream()
                        .map(c -> new LookCell(c.date(), word(c.kind()), c.what(), c.test()))
                        .toList(),
                pace.first(),
                pace.last(),
                pace.weeks(),
                pace.teachingWeeks(),
                pace.sentence(),
                pace.beside(),
                lost(pace),
                pace.tests().stream()
                        .map(t -> t.title() + " " + Say.day(t.date()))
                        .toList(),
                pace.notes(),
                use);
    }

    /** What was lost, runs of the same reason said once. */
    private static List<String> lost(UnitPace pace) {
        List<String> said = new ArrayList<>();
        List<UnitPace.Cell> cells = pace.cells();
        for (int i = 0; i < cells.size(); i++) {
            UnitPace.Cell first = cells.get(i);
            if (first.kind() != UnitPace.Kind.LOST) {
                continue;
            }
            while (i + 1 < cells.size()
                    && cells.get(i + 1).kind() == UnitPace.Kind.LOST
                    && cells.get(i + 1).what().equals(first.what())) {
                i++;
            }
            said.add(first.what() + " " + Say.days(first.date(), cells.get(i).date()));
        }
        return said;
    }

    private static String word(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The change that gives the unit's lessons here the lengths they had then; null where none differs. */
    private @Nullable Map<String, Object> use(Earlier then, UnitPace pace, Unit unit) {
        if (then.section().section().pace() == Section.Pace.MINUTES) {
            return null;
        }
        List<Change> lengths = new ArrayList<>();
        for (Lesson lesson : unit.lessons()) {
            Integer had = pace.lengths().get(lesson.id());
            boolean free = !here.section().leavesOut(lesson)
                    && !here.placement(lesson.id()).taught();
            if (had != null && free && had != here.section().length(lesson)) {
                lengths.add(new SetLength(here.course().code(), here.section().code(), lesson.id(), had));
            }
        }
        String term = then.stored().decisions().term().name();
        return lengths.isEmpty()
                ? null
                : ChangeJson.write(new Together(
                        unit.title() + " at the pace of " + term + " in "
                                + here.course().code() + " " + here.section().code(),
                        lengths));
    }
}
