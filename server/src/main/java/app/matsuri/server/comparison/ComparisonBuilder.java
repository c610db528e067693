package app.matsuri.server.comparison;

import app.matsuri.core.change.Find;
import app.matsuri.core.findings.Finding;
import app.matsuri.core.findings.Findings;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.repace.Way;
import app.matsuri.core.repace.Ways;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.server.change.Remarks;
import app.matsuri.server.comparison.WhatIfView.ComparisonColumn;
import app.matsuri.server.comparison.WhatIfView.ComparisonRow;
import app.matsuri.server.comparison.WhatIfView.ComparisonView;
import app.matsuri.server.repace.SmallWalls;
import app.matsuri.server.storage.Stored;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Lays the plan of a section and what-ifs of it beside each other. */
public final class ComparisonBuilder {

    private final List<Stored> terms;
    private final List<Remarks> remarks;
    private final List<Schedule> schedules;
    private final List<SectionSchedule> sections = new ArrayList<>();

    /**
     * @param terms the term as it stands, then as each what-if has it
     * @param remarks what says what a change does beside the plan
     * @throws app.matsuri.core.change.NoSuch when the term has no such section
     */
    ComparisonBuilder(List<Stored> terms, String course, String section, List<Remarks> remarks) {
        this.remarks = remarks;
        this.terms = terms;
        schedules = terms.stream().map(t -> Schedule.of(t.decisions())).toList();
        SectionSchedule stands = Find.section(schedules.get(0), course, section);
        // a what-if may take the section away: then its column shows the plan's, and its findings say what is gone
        schedules.forEach(s -> sections.add(s.section(course, section).orElse(stands)));
    }

    ComparisonView view() {
        SectionSchedule stands = sections.get(0);
        List<Integer> weeks = SmallWalls.weeks(stands, sections);
        List<Integer> weekdays = SmallWalls.weekdays(sections);
        List<Finding> had = Findings.of(schedules.get(0));
        List<ComparisonColumn> columns = new ArrayList<>();
        for (int i = 0; i < terms.size(); i++) {
            columns.add(column(i, had, weeks, weekdays));
        }
        return new ComparisonView(
                stands.course().code(),
                stands.section().code(),
                weekdays,
                SmallWalls.units(stands.course()),
                columns,
                rows());
    }

    private ComparisonColumn column(int i, List<Finding> had, List<Integer> weeks, List<Integer> weekdays) {
        Stored term = terms.get(i);
        SectionSchedule schedule = sections.get(i);
        List<Finding> has = i == 0 ? had : Findings.of(schedules.get(i));
        Way pace = Ways.slide(schedule);
        return new ComparisonColumn(
                term.whatIf() == null ? null : term.whatIf().id(),
                term.whatIf() == null ? "The plan" : term.whatIf().name(),
                term.whatIf() == null ? null : term.whatIf().broken(),
                count(has, Finding.Severity.PROBLEM),
                count(has, Finding.Severity.WARNING),
                problems(has, had),
                problems(had, has),
                i == 0
                        ? List.of()
                        : remarks.stream()
                                .flatMap(r -> r.of(terms.get(0), term.decisions()).stream())
                                .toList(),
                SmallWalls.costs(pace, schedule.course().besides().weights()),
                pace.total(),
                SmallWalls.of(sections.get(0), schedule, term.decisions().term(), weeks, weekdays));
    }

    private static int count(List<Finding> findings, Finding.Severity severity) {
        return (int) findings.stream().filter(f -> f.severity() == severity).count();
    }

    private static List<String> problems(List<Finding> of, List<Finding> in) {
        var known = in.stream().map(Finding::same).toList();
        return of.stream()
                .filter(f -> f.severity() == Finding.Severity.PROBLEM && !known.contains(f.same()))
                .map(Finding::sentence)
                .toList();
    }

    private List<ComparisonRow> rows() {
        Map<String, String[]> things = new LinkedHashMap<>();
        List<Map<String, LocalDateTime>> dates = new ArrayList<>();
        for (SectionSchedule schedule : sections) {
            Map<String, LocalDateTime> at = new LinkedHashMap<>();
            for (Placement placement : schedule.placements()) {
                String id = placement.lesson().id();
                things.putIfAbsent(
                        "lesson " + id,
                        new String[] {"lesson", id, placement.lesson().title()});
                schedule.start(id).ifPresent(start -> at.put("lesson " + id, start));
            }
            for (ItemDates item : schedule.dates()) {
                if (item.due() != null) {
                    String id = item.item().id();
                    things.putIfAbsent(
                            "due " + id, new String[] {"due", id, item.item().title()});
                    if (item.due().resolved()) {
                        at.put("due " + id, item.due().at());
                    }
                }
            }
            dates.add(at);
        }
        List<ComparisonRow> rows = new ArrayList<>();
        things.forEach((key, thing) -> {
            List<LocalDateTime> at = new ArrayList<>();
            dates.forEach(of -> at.add(of.get(key)));
            if (at.stream().distinct().count() > 1) {
                rows.add(new ComparisonRow(thing[0], thing[1], thing[2], at));
            }
        });
        return rows;
    }
}
