package app.matsuri.core.change.section;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Told;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.Untold;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * Tells students the dates as they are planned.
 *
 * @param section code of the section; null for all of the course
 * @param upTo the last day whose dates are told; null for all. What was told before is told anew, wherever it lies
 * @param why for the students, in one sentence; may be empty
 * @param at when, in the term's zone; null where it is not known
 */
public record Tell(
        String course,
        @Nullable String section,
        @Nullable LocalDate upTo,
        String why,
        @Nullable LocalDateTime at) implements Change {

    /** The same at a moment. */
    @Override
    public Tell at(LocalDateTime moment) {
        return new Tell(course, section, upTo, why, moment);
    }

    @Override
    public Outcome apply(Decisions before) {
        if (section != null) {
            Find.section(before, course, section);
        }
        Course in = Find.course(before, course);
        int told = 0;
        for (SectionSchedule schedule : Schedule.of(before).sections(course)) {
            Section of = schedule.section();
            if (section != null && !section.equals(of.code())) {
                continue;
            }
            List<Untold> differing = Untold.differing(schedule, upTo);
            boolean further =
                    of.told().begun() && !Objects.equals(upTo, of.told().upTo());
            Told now = Untold.after(schedule, differing, upTo, at, why);
            boolean more = !now.sessions().equals(of.told().sessions())
                    || !now.work().equals(of.told().work());
            if (!differing.isEmpty() || further || more) {
                in = in.withSection(of.withTold(now));
                told++;
            }
        }
        if (told == 0) {
            throw new Refused("There is nothing to tell: students of “" + name() + "” were told every date"
                    + (upTo == null ? "." : " up to " + Say.day(upTo) + "."));
        }
        return Outcome.of(before.withCourse(in));
    }

    @Override
    public String sentence(Decisions before) {
        return "Tell students of " + name() + (upTo == null ? "" : " the dates up to " + Say.day(upTo));
    }

    private String name() {
        return course + (section == null ? "" : " " + section);
    }
}
