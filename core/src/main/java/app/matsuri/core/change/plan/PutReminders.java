package app.matsuri.core.change.plan;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Reminder;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Says of what a course reminds, in place of what it did. */
public record PutReminders(String course, List<Reminder> reminders) implements Change {

    public PutReminders {
        reminders = List.copyOf(reminders);
    }

    @Override
    public Outcome apply(Decisions before) {
        Course in = Find.course(before, course);
        if (in.besides().reminders().equals(reminders)) {
            throw new Refused("“" + course + "” reminds so already.");
        }
        Set<String> ids = new HashSet<>();
        for (Reminder reminder : reminders) {
            if (!ids.add(reminder.id())) {
                throw new Refused("Two reminders have the id “" + reminder.id() + "”: give each its own.");
            }
            if (reminder.item() != null) {
                Find.item(before, course, reminder.item());
            }
            if (reminder.item() != null && reminder.before().which() == null) {
                throw new Refused(
                        "A piece of work has no class and no booking of its own to be reminded of: choose before it opens,"
                                + " is due or closes.");
            }
        }
        return Outcome.of(before.withCourse(in.withBesides(in.besides().withReminders(reminders))));
    }

    @Override
    public String sentence(Decisions before) {
        return reminders.isEmpty() ? "Remind of nothing in " + course : "Change of what " + course + " reminds";
    }
}
