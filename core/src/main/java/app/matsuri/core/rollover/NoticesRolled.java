package app.matsuri.core.rollover;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.NoticeTime.Repeat;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.NoticeDates;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The notices of one course while it is rolled over. A rule stays; a date typed by hand goes where the way says, by rule where
 * it would be by class, since a notice has to begin some day. A series keeps its rule and takes the new term's bounds.
 */
final class NoticesRolled {

    private final CourseRolled in;
    private final Map<String, Carried> said = new HashMap<>();
    private final Set<String> lost = new HashSet<>();

    NoticesRolled(CourseRolled in) {
        this.in = in;
    }

    private boolean brought(Notice notice) {
        return in.old.notice(notice.id()).isPresent()
                && (notice.unit() == null
                        ? in.rollover.units().isEmpty()
                        : in.units.stream().anyMatch(u -> u.id().equals(notice.unit())));
    }

    Course in(Decisions now) {
        Course course = now.course(in.code).orElseThrow();
        return course.withBesides(course.besides().eachNotice(n -> brought(n) ? rolled(n) : n));
    }

    private Notice rolled(Notice notice) {
        String first = in.ways.keySet().stream()
                .filter(s -> notice.concerns(s) && !notice.sections().containsKey(s))
                .findFirst()
                .orElse(null);
        Notice now = first == null ? notice : notice.withWhen(time(notice, notice.when(), first));
        for (Map.Entry<String, NoticeTime> own : notice.sections().entrySet()) {
            if (in.ways.containsKey(own.getKey())) {
                now = now.withWhen(own.getKey(), time(notice, own.getValue(), own.getKey()));
            }
        }
        return first == null || notice.hiddenUntil() == null
                ? now
                : now.hiddenUntil(rule(notice, notice.hiddenUntil(), first, "hidden", false));
    }

    private NoticeTime time(Notice notice, NoticeTime when, String section) {
        if (when.series()) {
            return new NoticeTime(
                    when.allDay(),
                    null,
                    null,
                    when.repeats().stream().map(this::repeat).toList(),
                    Map.of());
        }
        return NoticeTime.once(
                when.allDay(),
                rule(notice, when.begins(), section, "begins", when.allDay()),
                rule(notice, when.ends(), section, "ends", when.allDay()));
    }

    private Repeat repeat(Repeat was) {
        LocalDate first = in.to.term().first();
        LocalDate last = in.to.term().last();
        LocalDate from = was.from() == null ? null : in.day(was.from());
        LocalDate until = was.until() == null ? null : in.day(was.until());
        boolean over = until != null && until.isBefore(from == null ? first : from);
        return new Repeat(
                was.rule(),
                from != null && from.isAfter(last) ? null : from,
                over || until != null && until.isBefore(first) ? null : until,
                was.time(),
                was.minutes());
    }

    private static boolean hangsOn(Anchor anchor, Rolled row) {
        return anchor.named(Anchor.Sort.ITEM).filter(row.id()::equals).isPresent()
                && anchor.date()
                        .filter(d -> row.what().equals(d.name().toLowerCase(Locale.ROOT)))
                        .isPresent();
    }

    private @Nullable DateRule rule(
            Notice notice, @Nullable DateRule rule, String section, String what, boolean allDay) {
        if (rule == null || !rule.fixed()) {
            return rule;
        }
        LocalDateTime at = rule.typed();
        // a whole day is looked at by its end, so that it belongs to the class of the day
        LocalDateTime looked = allDay ? at.toLocalDate().atTime(LocalTime.of(23, 59)) : at;
        Carried there = in.way(section).date(looked);
        String outside = in.way(section).outside(there.at());
        boolean gone = there.at() == null || outside != null;
        LocalDateTime found = !gone
                ? there.moment()
                : (outside != null && outside.startsWith("before")
                                ? in.to.term().first()
                                : in.to.term().last())
                        .atTime(at.toLocalTime());
        said.put(
                notice.id() + " " + what,
                gone
                        ? new Carried(
                                found,
                                (there.at() == null ? there.why() : there.why() + " lies " + outside)
                                        + "; it stands on " + Say.day(found.toLocalDate()) + " until it is moved",
                                true)
                        : there);
        if (gone) {
            lost.add(notice.id() + " " + what);
        }
        return rule.from(new Anchor.Fixed(allDay ? found.toLocalDate().atStartOfDay() : found), rule.plus());
    }

    /** A row for the beginning of each notice that the section has, and for its end where it has another. */
    void rows(SectionSchedule is, List<Rolled> rows) {
        SectionSchedule had = in.had(is.section().code());
        for (Notice notice : is.course().besides().notices()) {
            if (!brought(notice) || !notice.concerns(is.section().code())) {
                continue;
            }
            NoticeDates.Entry was = entry(had, notice);
            NoticeDates.Entry now = entry(is, notice);
            if (was == null && now == null) {
                continue;
            }
            rows.add(row(is, notice, "begins", was == null ? null : was.begins(), now, rows));
            if (was != null
                    && was.ends() != null
                    && !was.ends().equals(was.begins())
                    && !notice.when().series()) {
                rows.add(row(is, notice, "ends", was.ends(), now, rows));
            }
        }
    }

    /** @param before the rows of what it may hang on */
    private Rolled row(
            SectionSchedule is,
            Notice notice,
            String what,
            @Nullable LocalDateTime old,
            NoticeDates.@Nullable Entry entry,
            List<Rolled> before) {
        LocalDateTime now = entry == null ? null : what.equals("begins") ? entry.begins() : entry.ends();
        Carried carried = said.get(notice.id() + " " + what);
        NoticeTime time = notice.when(is.section().code());
        DateRule rule = what.equals("begins") ? time.begins() : time.ends();
        String why = time.series()
                ? "a series, within the new term"
                : carried != null
                        ? carried.why()
                        : entry != null && !entry.resolved()
                                ? entry.reason()
                                : rule == null ? "" : RuleSaid.timed(rule);
        boolean gone = lost.contains(notice.id() + " " + what) || now == null;
        boolean waits = gone
                && rule != null
                && before.stream()
                        .anyMatch(r -> r.state() == Rolled.State.HAND
                                && r.section().equals(is.section().code())
                                && hangsOn(rule.anchor(), r));
        return new Rolled(
                in.code,
                is.section().code(),
                what,
                unit(notice),
                notice.id(),
                notice.title(),
                old,
                gone ? null : now,
                why,
                !gone && carried != null && carried.landed(),
                waits
                        ? Rolled.State.HAND
                        : gone ? Rolled.State.LOST : carried != null ? Rolled.State.CARRIED : Rolled.State.KEPT,
                gone && carried != null ? carried.at() : null);
    }

    private @Nullable Unit unit(Notice notice) {
        return in.units.stream()
                .filter(u -> Objects.equals(u.id(), notice.unit()))
                .findFirst()
                .orElse(null);
    }

    private NoticeDates.@Nullable Entry entry(SectionSchedule schedule, Notice notice) {
        return schedule.notice(in.code, notice.id())
                .filter(n -> !n.entries().isEmpty())
                .map(n -> n.entries().get(0))
                .orElse(null);
    }
}
