package app.matsuri.core.change.notice;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.session.Recurrence;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Adds a notice, or changes the one of its id: of a series, all of it. */
public record PutNotice(String course, Notice notice) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Course in = Find.course(before, course);
        if (notice.unit() != null) {
            Find.unit(before, course, notice.unit());
        }
        notice.only().forEach(s -> Find.section(before, course, s));
        notice.sections().keySet().forEach(s -> Find.section(before, course, s));
        for (String shared : notice.shared()) {
            int slash = shared.indexOf('/');
            String other = slash < 0 ? shared : shared.substring(0, slash);
            Find.course(before, other);
            if (slash >= 0) {
                Find.section(before, other, shared.substring(slash + 1));
            }
        }
        check(before, notice.when());
        notice.sections().values().forEach(time -> check(before, time));
        return Outcome.of(before.withCourse(in.withNotice(notice)));
    }

    private void check(Decisions before, NoticeTime time) {
        time.repeats().forEach(PutNotice::check);
        item(before, time.begins());
        item(before, time.ends());
        DateRule begins = time.begins();
        DateRule ends = time.ends();
        if (begins != null
                && ends != null
                && begins.plain()
                && ends.plain()
                && ends.typed().isBefore(begins.typed())) {
            throw new Refused("“" + notice.title() + "” ends before it begins. Give a later end.");
        }
    }

    /** Refuses a stretch whose recurrence cannot be read. */
    static void check(NoticeTime.Repeat repeat) {
        try {
            Recurrence.of(repeat.rule());
        } catch (IllegalArgumentException e) {
            throw new Refused(e.getMessage() + ".");
        }
        if (repeat.from() != null && repeat.until() != null && repeat.until().isBefore(repeat.from())) {
            throw new Refused("The series ends before it begins. Give a later last day.");
        }
    }

    private void item(Decisions before, @Nullable DateRule rule) {
        if (rule != null) {
            rule.anchor().named(Anchor.Sort.ITEM).ifPresent(id -> Find.item(before, course, id));
        }
    }

    @Override
    public String sentence(Decisions before) {
        boolean known =
                before.course(course).flatMap(c -> c.notice(notice.id())).isPresent();
        return (known ? "Change notice “" : "Add notice “") + notice.title() + "”";
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        return Set.of(Find.hand(course, notice.id()));
    }
}
