package app.matsuri.core.change.pace;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.TakesHold;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Own;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Fixes a lesson on a date, or lets it go.
 *
 * @param section the section whose own pin it is; null for the plan's
 * @param date null to let the lesson go
 */
public record Pin(
        String course,
        @Nullable String section,
        String lesson,
        @Nullable LocalDate date) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Lesson pinned = Find.lesson(before, course, lesson);
        if (date != null && !before.term().contains(date)) {
            throw new Refused(Say.day(date) + " lies outside the term, which runs "
                    + Say.days(before.term().first(), before.term().last()) + ".");
        }
        if (section == null) {
            return Outcome.of(before.withCourse(course, c -> c.withLesson(lesson, l -> l.withPin(date))));
        }
        var own = Find.section(before, course, section);
        Own<LocalDate> pin = date != null ? Own.other(date) : pinned.pin() == null ? Own.asPlanned() : Own.none();
        return Outcome.of(before.withCourse(course, c -> c.withSection(own.withPin(lesson, pin))));
    }

    @Override
    public Optional<LocalDateTime> takesHold(SectionSchedule in) {
        return TakesHold.lessons(in, course, section, List.of(lesson), date);
    }

    @Override
    public String sentence(Decisions before) {
        String title = "“" + Find.lesson(before, course, lesson).title() + "”";
        return (date == null ? "Let " + title + " move again" : "Pin " + title + " to " + Say.day(date))
                + Find.in(course, section);
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        return Set.of(new Hand(course, lesson));
    }
}
