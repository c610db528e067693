package app.matsuri.core.change.notice;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Notice;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Puts a notice into a unit of the outline, or among the notices of none.
 *
 * @param unit id of the unit; null for none
 * @param before id of the notice before which it goes; null for the end
 */
public record ArrangeNotice(
        String course,
        String notice,
        @Nullable String unit,
        @Nullable String before) implements Change {

    @Override
    public Outcome apply(Decisions decisions) {
        Notice moved = Find.notice(decisions, course, notice);
        if (unit != null) {
            Find.unit(decisions, course, unit);
        }
        Course in = Find.course(decisions, course);
        List<Notice> notices = new ArrayList<>(in.besides().notices());
        notices.removeIf(n -> n.id().equals(notice));
        int place = notices.size();
        if (before != null && !before.equals(notice)) {
            place = notices.indexOf(Find.notice(decisions, course, before));
        }
        notices.add(place, moved.withUnit(unit));
        return Outcome.of(decisions.withCourse(in.withBesides(in.besides().withNotices(notices))));
    }

    @Override
    public String sentence(Decisions decisions) {
        String title = "“" + Find.notice(decisions, course, notice).title() + "”";
        return "Put " + title
                + (unit == null
                        ? " among the notices of no unit"
                        : " into “" + Find.unit(decisions, course, unit).title() + "”");
    }

    @Override
    public Set<Hand> hands(Decisions decisions) {
        return Set.of(Find.hand(course, notice));
    }
}
