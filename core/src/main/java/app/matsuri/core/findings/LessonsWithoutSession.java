package app.matsuri.core.findings;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.pace.LeaveOut;
import app.matsuri.core.findings.Finding.Severity;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/** Lessons that find no session: past the end of the term, before a pin, or behind a pin without room. */
final class LessonsWithoutSession implements Check {

    @Override
    public void look(SectionSchedule in, Consumer<Finding> found) {
        List<Placement> placements = in.placements();
        for (int i = 0; i < placements.size(); i++) {
            Placement placement = placements.get(i);
            if (!placement.noSession()) {
                continue;
            }
            String title = "“" + placement.lesson().title() + "”";
            String missing = Say.count(placement.missing(), "class").replace("classs", "classes");
            LocalDate pin = in.section().pin(placement.lesson());
            String sentence = switch (placement.why()) {
                case TERM_ENDS -> title + " finds no class before the term ends: " + missing + " missing.";
                case BEFORE_PIN ->
                    title + " finds no class before “"
                            + pinAfter(in, i).title() + "”, which is fixed on "
                            + Say.day(Known.there(in.section().pin(pinAfter(in, i)), "a pin")) + ": " + missing
                            + " missing.";
                case PIN_HAS_NO_ROOM ->
                    pin == null
                            ? title + " stands behind a lesson whose fixed date has no room."
                            : title + " is fixed on " + Say.day(pin) + ", where what comes before it leaves no room.";
            };
            String code = placement.why() == Placement.Lack.TERM_ENDS ? "lesson-without-session" : "no-room-before-pin";
            found.accept(new Finding(
                    code,
                    Severity.PROBLEM,
                    Check.about(in, "lesson", placement.lesson().id()),
                    sentence,
                    mend(in, i)));
        }
    }

    private static Lesson pinAfter(SectionSchedule in, int index) {
        for (int i = index + 1; i < in.placements().size(); i++) {
            Placement placement = in.placements().get(i);
            boolean begun = placement.slots().stream().anyMatch(Placement.Slot::taught);
            if (!placement.leftOut() && !begun && in.section().pin(placement.lesson()) != null) {
                return placement.lesson();
            }
        }
        return in.placements().get(index).lesson();
    }

    /** Leaves out the nearest spare or optional lesson before it that is still to come; null where there is none. */
    private static @Nullable Change mend(SectionSchedule in, int index) {
        for (int i = index; i >= 0; i--) {
            Placement placement = in.placements().get(i);
            Lesson lesson = placement.lesson();
            boolean toCome = !placement.leftOut() && placement.slots().stream().noneMatch(Placement.Slot::taught);
            if (toCome && (lesson.reserve() || lesson.optional())) {
                return new LeaveOut(in.course().code(), in.section().code(), lesson.id(), true);
            }
            if (i < index && in.section().pin(lesson) != null) {
                return null;
            }
        }
        return null;
    }
}
