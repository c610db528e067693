package app.matsuri.core.change.notice;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import java.time.LocalDate;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Lets a series of notices go on otherwise from a day on, or end before it. It stays one series.
 *
 * @param from the first day that changes, inclusive
 * @param repeat how it goes on; null where it ends the day before
 */
public record ChangeNoticeSeries(String course, String notice, LocalDate from, NoticeTime.@Nullable Repeat repeat)
        implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Notice was = Find.notice(before, course, notice);
        if (!was.when().series()) {
            throw new Refused("“" + was.title() + "” is no series: change it as a whole.");
        }
        if (repeat != null) {
            PutNotice.check(repeat);
            if (repeat.until() != null && repeat.until().isBefore(from)) {
                throw new Refused("The series would end before " + Say.day(from) + ". Give a later last day.");
            }
        }
        NoticeTime now = was.when()
                .from(from, repeat)
                .orElseThrow(
                        () -> new Refused("Nothing of “" + was.title() + "” would be left: take it out as a whole."));
        return Outcome.of(before.withCourse(course, c -> c.withNotice(was.withWhen(now))));
    }

    @Override
    public String sentence(Decisions before) {
        String title = "“" + Find.notice(before, course, notice).title() + "”";
        return repeat == null
                ? "End " + title + " before " + Say.day(from)
                : "Change " + title + " from " + Say.day(from) + " on";
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        return Set.of(Find.hand(course, notice));
    }
}
