package app.matsuri.server.rollover;

import app.matsuri.core.calendar.Term;
import app.matsuri.core.calendar.WholeWeeks;
import app.matsuri.core.change.Refused;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.rollover.Rolled;
import app.matsuri.core.rollover.Rolled.State;
import app.matsuri.core.rollover.RolledOver;
import app.matsuri.core.rollover.Rollover;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.exchange.plan.Words;
import app.matsuri.server.rollover.RolloverView.RollOff;
import app.matsuri.server.rollover.RolloverView.RollSpare;
import app.matsuri.server.rollover.RolloverView.RollWay;
import app.matsuri.server.rollover.RolloverView.RolledRow;
import java.time.LocalDateTime;
import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** Lays a rollover out for the page: every way with what it messes up, and the rows of the one that is chosen. */
final class RolloverBuilder {

    private final Rollovers.Ends ends;
    private final Rollover asked;
    private final String by;

    RolloverBuilder(Rollovers.Ends ends, Rollover asked, String by) {
        this.ends = ends;
        this.asked = asked;
        this.by = by;
    }

    RolloverView view() {
        Term to = ends.to().term();
        Term from = ends.from().term();
        int days = (int) ChronoUnit.DAYS.between(from.first(), to.first());
        String refused = null;
        List<RollWay> ways = new ArrayList<>();
        RolledOver chosen = null;
        try {
            for (String word : words(days)) {
                RolledOver over = asked.by(Rollovers.by(word)).into(ends.to());
                ways.add(new RollWay(
                        word,
                        over.sentence(),
                        over.changeWeekday(),
                        over.landed(),
                        over.noSession(),
                        over.hands().size(),
                        over.rows().size(),
                        over.count(State.KEPT) + over.count(State.CARRIED),
                        over.count(State.HAND),
                        over.count(State.LOST)));
                chosen = word.equals(by) ? over : chosen;
            }
        } catch (Refused e) {
            refused = e.getMessage();
        }
        return new RolloverView(
                ends.name(),
                to.name(),
                to.first(),
                to.last(),
                ends.stored() == null ? 0 : ends.stored().version(),
                refused,
                refused != null && there(),
                days,
                refused == null ? ways : List.of(),
                by,
                chosen == null || refused != null ? List.of() : rows(chosen),
                to.closures().stream()
                        .map(c -> new RollOff(c.first(), c.last(), c.reason()))
                        .toList(),
                chosen == null || refused != null ? List.of() : chosen.notes(),
                chosen == null || refused != null ? List.of() : spare(chosen));
    }

    /** Whether units that are asked for are in the new term already. */
    private boolean there() {
        return asked.courses().stream()
                .anyMatch(code -> ends.from().course(code).stream()
                        .flatMap(c -> c.units().stream())
                        .filter(u -> asked.units().isEmpty() || asked.units().contains(u.id()))
                        .anyMatch(u -> ends.to()
                                .course(code)
                                .flatMap(c -> c.unit(u.id()))
                                .isPresent()));
    }

    /** The ways that are laid beside each other: by days the number that matches the first days, and whole weeks around it. */
    private Set<String> words(int days) {
        Set<String> words = new LinkedHashSet<>(List.of("class", "week", "teaching-week", "days=" + days));
        WholeWeeks.around(days).forEach(d -> words.add("days=" + d));
        if (asked.by().later().isPresent()) {
            words.add(by);
        }
        words.add("rule");
        return words;
    }

    private List<RolledRow> rows(RolledOver over) {
        Map<ThingRef, Integer> numbers = new HashMap<>();
        for (String code : asked.courses()) {
            Course course = over.after().course(code).orElseThrow();
            for (int u = 0; u < course.units().size(); u++) {
                numbers.put(new ThingRef(code, course.units().get(u).id()), u);
            }
        }
        Set<Rolled> hands = new HashSet<>(over.hands());
        return over.rows().stream()
                .map(row -> row(row, numbers, hands.contains(row)))
                .toList();
    }

    private static RolledRow row(Rolled row, Map<ThingRef, Integer> numbers, boolean hand) {
        Unit unit = row.unit();
        return new RolledRow(
                row.course(),
                row.section(),
                row.what(),
                unit == null ? null : unit.title(),
                unit == null ? null : unit.code(),
                unit == null ? 0 : numbers.getOrDefault(new ThingRef(row.course(), unit.id()), 0),
                unit == null || unit.colour().isEmpty() ? null : unit.colour(),
                row.id(),
                row.title(),
                row.old(),
                row.now(),
                row.why(),
                row.old() != null && row.now() != null && row.changesWeekday()
                        ? weekday(row.old()) + " becomes " + weekday(row.now())
                        : null,
                row.landed(),
                Words.word(row.state()),
                hand ? row.why() : null,
                row.suggested());
    }

    private static String weekday(LocalDateTime at) {
        return at.getDayOfWeek().getDisplayName(TextStyle.FULL, Locale.ENGLISH);
    }

    private List<RollSpare> spare(RolledOver over) {
        List<RollSpare> spare = new ArrayList<>();
        for (String code : asked.courses()) {
            for (SectionSchedule schedule : over.schedule().sections(code)) {
                Set<Integer> used = new HashSet<>();
                int reserve = 0;
                for (Placement placement : schedule.placements()) {
                    placement.slots().forEach(s -> used.add(s.session()));
                    reserve += placement.lesson().reserve() ? placement.slots().size() : 0;
                }
                int free = (int) schedule.sessions().all().stream()
                                .filter(s -> s.open())
                                .count()
                        - used.size();
                spare.add(new RollSpare(
                        code, schedule.section().code(), schedule.sessions().size(), Math.max(0, free), reserve));
            }
        }
        return spare;
    }
}
