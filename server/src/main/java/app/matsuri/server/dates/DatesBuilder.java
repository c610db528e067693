package app.matsuri.server.dates;

import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.findings.Finding;
import app.matsuri.core.findings.Findings;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Dated;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.RulesInForce;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.ThingDates;
import app.matsuri.core.schedule.Untold;
import app.matsuri.server.dates.DatesView.DatesCell;
import app.matsuri.server.dates.DatesView.DatesCourse;
import app.matsuri.server.dates.DatesView.DatesLesson;
import app.matsuri.server.dates.DatesView.DatesRow;
import app.matsuri.server.dates.DatesView.DatesUnit;
import app.matsuri.server.dates.DatesView.DatesWeek;
import app.matsuri.server.findings.FindingView;
import app.matsuri.server.history.History;
import app.matsuri.server.telling.ToldWords;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Lays every dated thing of a term out in rows. */
final class DatesBuilder {

    private final Decisions decisions;
    private final Schedule schedule;
    private final Map<ThingRef, List<FindingView>> wrong = new HashMap<>();
    private final Map<String, ToldWords> told = new HashMap<>();
    private final List<FindingView> findings = new ArrayList<>();

    DatesBuilder(Decisions decisions, Schedule schedule, LocalDate today) {
        this.decisions = decisions;
        this.schedule = schedule;
        for (Finding finding : Findings.of(schedule, today)) {
            FindingView view = FindingView.of(finding);
            findings.add(view);
            String id = finding.about().id();
            if (id != null) {
                wrong.computeIfAbsent(new ThingRef(finding.about().course(), id), k -> new ArrayList<>())
                        .add(view);
            }
        }
    }

    DatesView view(long termId, long version, LocalDateTime now, History.Ends ends) {
        List<DatesRow> rows = new ArrayList<>();
        for (Course course : decisions.courses()) {
            List<SectionSchedule> sections = course.sections().stream()
                    .map(s -> schedule.section(course.code(), s.code()).orElseThrow())
                    .toList();
            for (Unit unit : course.units()) {
                unit.items().forEach(item -> rows.add(row(course, unit, item, sections)));
            }
            course.besides().notices().forEach(notice -> rows.add(row(course, notice, sections)));
        }
        return new DatesView(
                termId,
                decisions.term().name(),
                version,
                now,
                weeks(TeachingCalendar.of(decisions.term())),
                decisions.courses().stream().map(DatesBuilder::course).toList(),
                rows,
                findings,
                ends.undo().map(History.Line::sentence).orElse(null),
                ends.redo().map(History.Line::sentence).orElse(null));
    }

    private static List<DatesWeek> weeks(TeachingCalendar calendar) {
        return IntStream.rangeClosed(1, calendar.weeks())
                .mapToObj(k -> {
                    LocalDate first = calendar.week(k).orElseThrow();
                    return new DatesWeek(k, first, first.plusDays(6));
                })
                .toList();
    }

    private static DatesCourse course(Course course) {
        List<DatesUnit> units = new ArrayList<>();
        List<DatesLesson> lessons = new ArrayList<>();
        for (Unit unit : course.units()) {
            units.add(new DatesUnit(
                    unit.id(),
                    unit.code(),
                    unit.title(),
                    units.size(),
                    unit.colour().isEmpty() ? null : unit.colour()));
            unit.lessons().forEach(l -> lessons.add(new DatesLesson(l.id(), l.title(), unit.id())));
        }
        return new DatesCourse(
                course.code(),
                course.title(),
                course.sections().stream().map(Section::code).toList(),
                units,
                lessons);
    }

    private DatesRow row(Course course, Unit unit, Item item, List<SectionSchedule> sections) {
        return new DatesRow(
                course.code(),
                item.key(),
                item.title(),
                item.kind(),
                unit.id(),
                item.lesson(),
                item.marking(),
                item.minutes(),
                item.locked(),
                unit.draft() || item.details().draft() ? true : null,
                item.details().only().isEmpty() ? null : item.details().only(),
                cell(unit, item, Which.OPENS, sections),
                cell(unit, item, Which.DUE, sections),
                cell(unit, item, Which.CLOSES, sections),
                wrong(course, item.id(), List.of("item", "opens", "due", "closes")));
    }

    private DatesRow row(Course course, Notice notice, List<SectionSchedule> sections) {
        return new DatesRow(
                course.code(),
                notice.key(),
                notice.title(),
                notice.kind(),
                notice.unit() == null ? "" : notice.unit(),
                null,
                "",
                null,
                notice.when().series(),
                null,
                notice.only().isEmpty() ? null : notice.only(),
                cell(notice, Which.OPENS, sections),
                cell(notice, Which.DUE, sections),
                cell(notice, Which.CLOSES, sections),
                wrong(course, notice.id(), List.of("notice")));
    }

    private List<FindingView> wrong(Course course, String id, List<String> about) {
        return wrong.getOrDefault(new ThingRef(course.code(), id), List.of()).stream()
                .filter(f -> about.contains(f.about()))
                .toList();
    }

    private DatesCell cell(Notice notice, Which which, List<SectionSchedule> sections) {
        List<String> own = sections.stream()
                .map(s -> notice.sections().get(s.section().code()))
                .map(other -> other == null || which == Which.DUE ? null : said(Own.of(other.rule(which))))
                .toList();
        DateRule rule = notice.rule(which);
        String series = switch (which) {
            case OPENS -> "first of a series";
            case DUE -> null;
            case CLOSES -> "last of a series";
        };
        return cell(notice, which, sections, own, rule, notice.when().series() ? series : brief(rule));
    }

    private DatesCell cell(Unit unit, Item item, Which which, List<SectionSchedule> sections) {
        List<String> own = new ArrayList<>();
        DateRule plan = item.rule(which);
        for (SectionSchedule section : sections) {
            own.add(section.section()
                    .adjustment(item.id())
                    .map(Adjustment::dates)
                    .map(d -> d.get(which))
                    .map(DatesBuilder::said)
                    .orElse(null));
            ItemDates dates = section.byItem().get(item.id());
            if (plan == null && dates != null && dates.rules().from(which) == RulesInForce.From.AROUND) {
                plan = dates.rule(which);
            }
        }
        boolean around = item.rule(which) == null && plan != null;
        return cell(
                item, which, sections, own, plan, around ? "as unit " + unit.code() + ", " + brief(plan) : brief(plan));
    }

    /**
     * A cell.
     *
     * @param own what each section has of its own
     * @param plan the plan's rule; null for none
     * @param said the same in words
     */
    private DatesCell cell(
            Dated thing,
            Which which,
            List<SectionSchedule> sections,
            List<String> own,
            @Nullable DateRule plan,
            @Nullable String said) {
        List<LocalDateTime> at = new ArrayList<>();
        List<String> state = new ArrayList<>();
        for (SectionSchedule section : sections) {
            Optional<ThingDates> dates = section.dated(thing);
            Resolved date = dates.map(d -> d.get(which)).orElse(null);
            at.add(date == null ? null : date.at());
            state.add(dates.isEmpty() ? "not-for" : date == null ? "none" : date.state());
        }
        return new DatesCell(
                said,
                plan == null ? null : RuleSaid.typed(plan),
                at,
                state,
                someOf(own),
                told(sections, which, thing.key()));
    }

    private static @Nullable String brief(@Nullable DateRule rule) {
        return rule == null ? null : RuleSaid.brief(rule);
    }

    /** What the students of each section were told of a date, where that is not the date. */
    private @Nullable List<String> told(List<SectionSchedule> sections, Which which, String id) {
        return someOf(sections.stream()
                .map(s -> told.computeIfAbsent(s.key(), k -> new ToldWords(s)).of(Untold.what(which), id))
                .toList());
    }

    private static @Nullable List<String> someOf(List<String> perSection) {
        return perSection.stream().allMatch(Objects::isNull) ? null : perSection;
    }

    private static String said(Own<DateRule> own) {
        return own.said().map(RuleSaid::brief).orElse("");
    }
}
