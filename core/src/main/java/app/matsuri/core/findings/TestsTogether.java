package app.matsuri.core.findings;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.findings.Finding.About;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.Student;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.Stream;

/**
 * Tests, quizzes and presentations that fall together for the same students, across all their courses: two on a day, or
 * more than {@link #MOST_A_WEEK} in a week; and one test that sections of a course sit on different days.
 */
final class TestsTogether {

    /** As many tests a week are no finding. */
    static final int MOST_A_WEEK = 2;

    private TestsTogether() {}

    private record Sat(SectionSchedule in, ItemDates dates, LocalDate day) {}

    static void look(Schedule schedule, Consumer<Finding> found) {
        List<SectionSchedule> sections = schedule.sections();
        Map<SectionRef, Set<String>> people = new HashMap<>();
        sections.forEach(s -> people.put(s.ref(), names(s)));
        for (int i = 0; i < sections.size(); i++) {
            SectionSchedule in = sections.get(i);
            List<Sat> sat = new ArrayList<>(tests(in));
            for (int k = 0; k < sections.size(); k++) {
                SectionSchedule other = sections.get(k);
                boolean shared = !in.course().code().equals(other.course().code())
                        && !Collections.disjoint(Known.in(people, in.ref()), Known.in(people, other.ref()));
                if (shared) {
                    sat.addAll(tests(other));
                }
            }
            together(in, sat, found);
        }
        apart(schedule, found);
    }

    private static Set<String> names(SectionSchedule in) {
        Set<String> names = new HashSet<>();
        in.section().students().stream().map(Student::name).forEach(names::add);
        return names;
    }

    private static List<Sat> tests(SectionSchedule in) {
        return in.dates().stream()
                .filter(d -> d.item().test())
                .flatMap(d -> Stream.ofNullable(d.at(Which.DUE)).map(due -> new Sat(in, d, due.toLocalDate())))
                .toList();
    }

    private static void together(SectionSchedule in, List<Sat> sat, Consumer<Finding> found) {
        Map<LocalDate, List<Sat>> days = new TreeMap<>();
        Map<Integer, List<Sat>> weeks = new TreeMap<>();
        for (Sat test : sat) {
            days.computeIfAbsent(test.day(), d -> new ArrayList<>()).add(test);
            in.calendar()
                    .weekNumber(test.day())
                    .ifPresent(w ->
                            weeks.computeIfAbsent(w, x -> new ArrayList<>()).add(test));
        }
        days.forEach((day, list) -> {
            if (list.size() > 1 && own(in, list)) {
                found.accept(new Finding(
                        "tests-on-one-day",
                        Severity.WARNING,
                        about(
                                in,
                                "item",
                                list.stream()
                                        .filter(t -> t.in() == in)
                                        .findFirst()
                                        .orElseThrow()
                                        .dates()
                                        .item()
                                        .id()),
                        said(in, list) + " are on one day, " + Say.day(day) + ".",
                        null));
            }
        });
        weeks.forEach((week, list) -> {
            if (list.size() > MOST_A_WEEK && own(in, list)) {
                found.accept(new Finding(
                        "tests-in-one-week",
                        Severity.WARNING,
                        about(in, "week", Integer.toString(week)),
                        said(in, list) + " are in one week, week " + week + ".",
                        null));
            }
        });
    }

    private static boolean own(SectionSchedule in, List<Sat> list) {
        return list.stream().anyMatch(t -> t.in() == in);
    }

    private static String said(SectionSchedule in, List<Sat> list) {
        List<String> titles = list.stream()
                .map(t -> "“" + t.dates().item().title() + "”"
                        + (t.in() == in ? "" : " of " + t.in().course().code()))
                .toList();
        return String.join(", ", titles.subList(0, titles.size() - 1)) + " and " + titles.get(titles.size() - 1);
    }

    private static About about(SectionSchedule in, String what, String id) {
        return new About(what, in.course().code(), in.section().code(), id);
    }

    /** One test that sections of a course sit on different days. */
    private static void apart(Schedule schedule, Consumer<Finding> found) {
        Map<ThingRef, Map<LocalDate, List<Sat>>> byTest = new HashMap<>();
        List<ThingRef> order = new ArrayList<>();
        for (SectionSchedule in : schedule.sections()) {
            for (Sat test : tests(in)) {
                ThingRef key =
                        new ThingRef(in.course().code(), test.dates().item().id());
                if (!byTest.containsKey(key)) {
                    order.add(key);
                }
                byTest.computeIfAbsent(key, k -> new TreeMap<>())
                        .computeIfAbsent(test.day(), d -> new ArrayList<>())
                        .add(test);
            }
        }
        for (ThingRef key : order) {
            Map<LocalDate, List<Sat>> days = Known.in(byTest, key);
            if (days.size() > 1) {
                Sat first = days.values().iterator().next().get(0);
                List<String> said = new ArrayList<>();
                days.forEach((day, list) -> said.add(String.join(
                                ", ",
                                list.stream().map(t -> t.in().section().code()).toList())
                        + " on " + Say.day(day)));
                found.accept(new Finding(
                        "test-on-different-days",
                        Severity.REMARK,
                        about(first.in(), "item", first.dates().item().id()),
                        "Sections sit “" + first.dates().item().title() + "” on different days: "
                                + String.join("; ", said) + ".",
                        null));
            }
        }
    }
}
