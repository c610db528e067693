package app.matsuri.core.rollover;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.calendar.WholeWeeks;
import app.matsuri.core.change.plan.BringCourses;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.rollover.Rolled.State;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.format.TextStyle;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * What a rollover comes to, before anything is written.
 *
 * @param before the new term as it stands
 * @param after the new term with what is rolled over
 * @param rows every dated thing, course by course, section by section, in the order of the plan
 * @param notes what did not come along as it was, a sentence each
 * @param change the one step that does it
 */
public record RolledOver(
        Rollover rollover,
        Decisions before,
        Decisions after,
        Schedule schedule,
        List<Rolled> rows,
        List<String> notes,
        BringCourses change) {

    public RolledOver {
        rows = List.copyOf(rows);
        notes = List.copyOf(notes);
    }

    /** How many change their weekday. */
    public long changeWeekday() {
        return rows.stream().filter(Rolled::changesWeekday).count();
    }

    /** How many fell on a day off or a weekend, and went on to the next day that teaches. */
    public long landed() {
        return rows.stream().filter(Rolled::landed).count();
    }

    /** How many lessons find no session. */
    public long noSession() {
        return rows.stream().filter(Rolled::noSession).count();
    }

    /** What it does to dates, in a sentence or two. */
    public String sentence() {
        RollBy by = rollover.by();
        return by.on(new RollBy.Cases<>() {
            @Override
            public String byClass(RollBy.ByClass by) {
                return RolledOver.this.byClass();
            }

            @Override
            public String byWeek(RollBy.ByWeek by) {
                return "The same weekday of the same week." + first();
            }

            @Override
            public String byDays(RollBy.ByDays by) {
                return WholeWeeks.keeps(by.days())
                        ? by.days() + " days are " + by.days() / 7 + " whole weeks: weekdays stay." + first()
                        : WholeWeeks.trap(by.days()) + first();
            }

            @Override
            public String byRule(RollBy.ByRule by) {
                return RolledOver.this.byRule();
            }
        });
    }

    private String byRule() {
        long pins = hands().stream().filter(r -> r.what().equals(Rolled.PIN)).count();
        long dates = hands().size() - pins;
        return "Keeps the rules and lets the lessons flow into the new sessions. "
                + (hands().isEmpty()
                        ? "Nothing waits for a hand."
                        : "Only this waits for a hand: "
                                + said(dates, "date")
                                + (dates > 0 && pins > 0 ? " and " : "")
                                + said(pins, "lesson") + ".");
    }

    private static String said(long n, String thing) {
        return n == 0 ? "" : Say.count((int) n, thing);
    }

    /** The first thing that lands on a day off. */
    private String first() {
        return rows.stream()
                .filter(Rolled::landed)
                .findFirst()
                .map(r -> " “" + r.title() + "”: " + r.why()
                        + (landed() > 1 ? ", and " + (landed() - 1) + " more." : "."))
                .orElse("");
    }

    private String byClass() {
        String code = rollover.courses().get(0);
        SectionSchedule is = schedule.sections(code).stream().findFirst().orElse(null);
        if (is == null || is.sessions().size() == 0) {
            return "There is no class to go by.";
        }
        int n = is.sessions().size();
        List<String> lost = rows.stream()
                .filter(r -> r.noSession()
                        && r.section().equals(is.section().code())
                        && r.course().equals(code))
                .map(Rolled::id)
                .toList();
        return "Session 1 goes to session 1, and so on to " + n + "."
                + (lost.isEmpty()
                        ? ""
                        : " More are missing, so " + String.join(", ", lost.subList(0, Math.min(3, lost.size())))
                                + (lost.size() > 3 ? " and " + (lost.size() - 3) + " more" : "")
                                + (lost.size() == 1 ? " finds" : " find") + " no session.")
                + (changeWeekday() == 0
                        ? ""
                        : " The first class is on "
                                + is.sessions()
                                        .get(0)
                                        .date()
                                        .getDayOfWeek()
                                        .getDisplayName(TextStyle.FULL, Locale.ENGLISH)
                                + ".");
    }

    /** What waits for a hand or has no place, each once, whatever the number of sections; lessons without a session are not among it. */
    public List<Rolled> hands() {
        Map<List<String>, Rolled> first = new LinkedHashMap<>();
        for (Rolled row : rows) {
            if (!row.placed() && !row.what().equals(Rolled.LESSON)) {
                first.putIfAbsent(List.of(row.course(), row.what(), row.id()), row);
            }
        }
        return List.copyOf(first.values());
    }

    /** How many dates have become of what; all together they are all dates. */
    public long count(State state) {
        return rows.stream().filter(r -> r.state() == state).count();
    }
}
