package app.matsuri.core.proposal;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Hand;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Which;
import app.matsuri.core.plan.With;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.NoticeDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import app.matsuri.core.session.Sessions.Lost;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** What differs between two schedules of one term, with why. */
final class Comparison {

    private final Set<Hand> hands;

    Comparison(Set<Hand> hands) {
        this.hands = hands;
    }

    /** Everything that moves, in the order of the plan; a section or a thing that is new or gone moves nothing. */
    List<Moved> moves(Schedule old, Schedule now) {
        List<Moved> moves = new ArrayList<>();
        for (SectionSchedule after : now.sections()) {
            old.section(after.course().code(), after.section().code())
                    .ifPresent(before -> section(before, after, moves));
        }
        return moves;
    }

    private void section(SectionSchedule before, SectionSchedule after, List<Moved> moves) {
        dated(before, after, moves);
        notices(before, after, moves);
    }

    private void dated(SectionSchedule before, SectionSchedule after, List<Moved> moves) {
        for (Placement placement : after.placements()) {
            Placement was = before.byLesson().get(placement.lesson().id());
            if (was != null) {
                lesson(before, was, after, placement, moves);
            }
        }
        for (ItemDates dates : after.dates()) {
            ItemDates was = before.byItem().get(dates.item().id());
            for (Which which : Which.values()) {
                LocalDateTime from = was == null ? null : was.at(which);
                LocalDateTime to = dates.at(which);
                if (was != null && !Objects.equals(from, to)) {
                    Item item = dates.item();
                    moves.add(moved(
                            after,
                            which.name().toLowerCase(Locale.ROOT),
                            item.id(),
                            item.title(),
                            from,
                            to,
                            why(after, was, dates, which)));
                }
            }
        }
    }

    /** Notices move as a whole: their first entry that differs says from when to when, by its end where only that does. */
    private void notices(SectionSchedule before, SectionSchedule after, List<Moved> moves) {
        for (NoticeDates now : after.notices()) {
            NoticeDates was = before.notice(now.course(), now.notice().id()).orElse(null);
            if (was == null || was.entries().equals(now.entries())) {
                continue;
            }
            List<NoticeDates.Entry> left = With.without(was.entries(), now.entries()::contains);
            List<NoticeDates.Entry> reached = With.without(now.entries(), was.entries()::contains);
            LocalDateTime from = first(left, NoticeDates.Entry::begins);
            LocalDateTime to = first(reached, NoticeDates.Entry::begins);
            if (Objects.equals(from, to)) {
                from = first(left, NoticeDates.Entry::ends);
                to = first(reached, NoticeDates.Entry::ends);
            }
            if (Objects.equals(from, to)) {
                continue; // it has no date as before, for another reason
            }
            Notice notice = now.notice();
            boolean hand = hand(now.course(), Hand.notice(notice.id()), after);
            moves.add(new Moved(
                    after.course().code(),
                    after.section().code(),
                    "notice",
                    notice.id(),
                    notice.title(),
                    from,
                    to,
                    hand
                            ? "moved"
                            : !reached.isEmpty() && !reached.get(0).resolved()
                                    ? reached.get(0).reason()
                                    : "hangs on what moves",
                    hand));
        }
    }

    private static @Nullable LocalDateTime first(
            List<NoticeDates.Entry> entries, Function<NoticeDates.Entry, @Nullable LocalDateTime> date) {
        return entries.isEmpty() ? null : date.apply(entries.get(0));
    }

    private boolean hand(String course, String id, SectionSchedule in) {
        return hands.contains(new Hand(course, id))
                || hands.contains(new Hand(course, id, in.section().code()));
    }

    private Moved moved(
            SectionSchedule in,
            String what,
            String id,
            String title,
            @Nullable LocalDateTime from,
            @Nullable LocalDateTime to,
            String why) {
        String course = in.course().code();
        boolean hand = hand(course, id, in);
        return new Moved(course, in.section().code(), what, id, title, from, to, why, hand);
    }

    private void lesson(SectionSchedule before, Placement was, SectionSchedule after, Placement is, List<Moved> moves) {
        List<LocalDateTime> from = starts(before, was);
        List<LocalDateTime> to = starts(after, is);
        if (from.equals(to)) {
            return;
        }
        int differ = 0;
        while (differ < from.size() && differ < to.size() && from.get(differ).equals(to.get(differ))) {
            differ++;
        }
        LocalDateTime left = differ < from.size() ? from.get(differ) : null;
        LocalDateTime reached = differ < to.size() ? to.get(differ) : null;
        moves.add(moved(
                after,
                "lesson",
                is.lesson().id(),
                is.lesson().title(),
                left,
                reached,
                why(before, was, after, is, left)));
    }

    private static List<LocalDateTime> starts(SectionSchedule in, Placement placement) {
        return placement.slots().stream()
                .map(s -> in.sessions().get(s.session()).start())
                .toList();
    }

    private String why(
            SectionSchedule before, Placement was, SectionSchedule after, Placement is, @Nullable LocalDateTime left) {
        if (is.leftOut()) {
            return "left out";
        }
        if (was.leftOut()) {
            return "taken in again";
        }
        if (is.noSession()) {
            return is.why() == Placement.Lack.TERM_ENDS ? "the term has no class left" : "no room before a fixed date";
        }
        if (left != null) {
            for (Placement.Slot slot : was.slots()) {
                Session session = before.sessions().get(slot.session());
                for (Lost lost : after.sessions().lost()) {
                    if (session.start().equals(left) && lost.name().equals(session.name())) {
                        return lost.reason().isEmpty() ? "its class is a day off" : "day off: " + lost.reason();
                    }
                }
            }
        }
        if (hand(after.course().code(), is.lesson().id(), after)) {
            return "moved";
        }
        return "comes along with the lessons before it";
    }

    private String why(SectionSchedule in, ItemDates was, ItemDates is, Which which) {
        Resolved now = is.get(which);
        if (now == null) {
            return "date taken away";
        }
        if (!now.resolved()) {
            return now.reason();
        }
        DateRule rule = is.rule(which);
        if (rule == null || !rule.equals(was.rule(which))) {
            return "moved";
        }
        if (now.rolled()) {
            return "nothing may be due on the day it would fall on";
        }
        String where = rule.anchor()
                .named(Anchor.Sort.LESSON)
                .flatMap(in::start)
                .map(s -> ", now " + Say.day(s.toLocalDate()))
                .orElse("");
        return RuleSaid.hangs(rule, in.course()).map(said -> said + where).orElse("counted anew");
    }
}
