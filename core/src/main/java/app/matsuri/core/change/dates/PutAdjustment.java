package app.matsuri.core.change.dates;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Student;
import java.util.Set;

/**
 * Gives a section, or one of its students, other dates of an item in place of those it had; without dates it takes them
 * away.
 */
public record PutAdjustment(String course, String section, Adjustment adjustment) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Section to = Find.section(before, course, section);
        Item item = Find.item(before, course, adjustment.item());
        if (!item.details().concerns(section)) {
            throw new Refused("“" + item.title() + "” is not for section " + section + ".");
        }
        if (adjustment.student() != null) {
            student(to);
        } else if (item.locked()) {
            throw new Refused("“" + item.title() + "” has an official date and cannot be moved. Unlock it first if that"
                    + " is wrong.");
        }
        return Outcome.of(before.withCourse(Find.course(before, course).withSection(to.adjusted(adjustment))));
    }

    private Student student(Section to) {
        return to.students().stream()
                .filter(s -> s.id().equals(adjustment.student()))
                .findFirst()
                .orElseThrow(
                        () -> new Refused("Section " + section + " has no student “" + adjustment.student() + "”."));
    }

    /** Names the thing and the section, and never the student: the history is read by all who teach the course. */
    @Override
    public String sentence(Decisions before) {
        String title = "“" + Find.item(before, course, adjustment.item()).title() + "”";
        String who = adjustment.student() == null ? "section " + section : "one student of " + section;
        return adjustment.dates().isEmpty()
                ? "Take back the other dates of " + title + " for " + who
                : "Give " + who + " other dates of " + title;
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        return Set.of(new Hand(course, adjustment.item()));
    }
}
