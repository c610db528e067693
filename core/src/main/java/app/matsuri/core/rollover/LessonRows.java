package app.matsuri.core.rollover;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.rollover.Rolled.State;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What a rollover says of the lessons of one course: where each came from, where it goes, and why. */
final class LessonRows {

    private final CourseRolled in;
    private final boolean byRule;

    LessonRows(CourseRolled in) {
        this.in = in;
        byRule = in.rollover.by().keepsRules();
    }

    /** A row for each lesson of a unit that the section did not leave out before. */
    void of(Unit unit, SectionSchedule is, List<Rolled> rows) {
        String code = is.section().code();
        SectionSchedule had = in.had(code);
        boolean byClass = in.rollover.by().countsSessions();
        for (Lesson lesson : unit.lessons()) {
            Placement now = is.byLesson().get(lesson.id());
            Placement was = had.placement(lesson.id());
            if (now == null || now.leftOut() && was.leftOut()) {
                continue;
            }
            LocalDateTime old = had.start(lesson.id()).orElse(null);
            LocalDateTime start = now.noSession() ? null : is.start(lesson.id()).orElse(null);
            Carried raw = old == null || byRule ? null : in.way(code).raw(old);
            boolean dated = raw != null && raw.at() != null && !byClass;
            boolean noClass =
                    raw != null && dated && on(is, raw.moment().toLocalDate()).isEmpty();
            String why = start == null
                    ? now.leftOut() ? "left out, so that the rest fits" : lack(is, now)
                    : raw != null && dated
                            ? raw.why() + moved(is, raw, noClass, start)
                            : "session " + (now.first() + 1) + " of "
                                    + is.sessions().size()
                                    + (byClass && was.placed() ? behind(is, now, was.first()) : "");
            rows.add(new Rolled(
                    in.code,
                    code,
                    Rolled.LESSON,
                    unit,
                    lesson.id(),
                    lesson.title(),
                    old,
                    start,
                    why,
                    noClass && start != null,
                    start == null ? State.LOST : byRule ? State.KEPT : State.CARRIED,
                    null));
            pin(unit, is, lesson, had.section().pin(lesson), old, rows);
        }
    }

    /** A row for the date on which a lesson was fixed. */
    private void pin(
            Unit unit,
            SectionSchedule is,
            Lesson lesson,
            @Nullable LocalDate pinned,
            @Nullable LocalDateTime old,
            List<Rolled> rows) {
        if (pinned == null) {
            return;
        }
        Carrying way = in.way(is.section().code());
        LocalDateTime was = old != null && old.toLocalDate().equals(pinned) ? old : pinned.atStartOfDay();
        LocalDateTime taken = in.pinned(lesson.id());
        Carried there = way.date(was);
        LocalDateTime suggested =
                there.at() == null || way.outside(there.at()) != null ? in.lastDay(is, was) : there.at();
        rows.add(new Rolled(
                in.code,
                is.section().code(),
                Rolled.PIN,
                unit,
                lesson.id(),
                lesson.title(),
                was,
                taken,
                taken != null
                        ? "given by hand"
                        : "pinned to " + Say.day(pinned) + " by hand"
                                + (suggested == null
                                        ? ""
                                        : "; " + (suggested == there.at() ? there.why() : "the last day that teaches")
                                                + " would be " + Say.moment(suggested)),
                false,
                taken == null ? State.HAND : State.CARRIED,
                taken == null ? suggested : null));
    }

    /** Why a lesson does not begin in the session of its number; nothing where it does. */
    private static String behind(SectionSchedule is, Placement now, int wanted) {
        if (now.first() <= wanted) {
            return "";
        }
        boolean taken =
                is.placements().stream().takeWhile(p -> p != now).anyMatch(p -> p.placed() && p.last() >= wanted);
        return taken
                ? ", behind the lessons before it"
                : ", as session " + (wanted + 1) + (wanted < is.sessions().size() ? " takes no lesson" : " is missing");
    }

    private static Optional<Session> on(SectionSchedule is, LocalDate day) {
        return is.sessions().all().stream().filter(s -> s.date().equals(day)).findFirst();
    }

    private static String moved(SectionSchedule is, Carried raw, boolean noClass, LocalDateTime start) {
        if (start.toLocalDate().equals(raw.moment().toLocalDate())) {
            return "";
        }
        return " would be " + Say.day(raw.moment().toLocalDate())
                + (noClass ? ", no class: the next that is free" : ", behind the lessons before it");
    }

    /** Why a lesson finds no session. */
    private static String lack(SectionSchedule is, Placement lost) {
        int n = is.sessions().size();
        Placement last = null;
        for (Placement placement : is.placements()) {
            if (placement == lost) {
                break;
            }
            last = placement.placed() && !placement.noSession() ? placement : last;
        }
        if (n == 0) {
            return "the section has no class";
        }
        return last == null
                ? "the " + n + " sessions are taken"
                : "the " + n + " sessions end with " + last.lesson().id() + " on "
                        + Say.day(is.sessions().get(last.last()).date());
    }
}
