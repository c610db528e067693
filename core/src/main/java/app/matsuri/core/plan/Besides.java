package app.matsuri.core.plan;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * What a course has besides its plan: notices, rhythms, words on days and weeks.
 *
 * @param weights what giving way costs when it is paced anew
 * @param publishing how it is shown to students
 * @param reminders of its work and classes
 * @param took how long its units took in earlier terms
 * @param waits dates that found no place when it was rolled over
 */
public record Besides(
        List<Notice> notices,
        List<Rhythm> rhythms,
        List<DayNote> dayNotes,
        List<WeekNote> weekNotes,
        Weights weights,
        Publishing publishing,
        List<Reminder> reminders,
        List<Took> took,
        List<Waiting> waits) {

    /** Nothing. */
    public static final Besides NONE = new Besides(
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            Weights.USUAL,
            Publishing.USUAL,
            List.of(),
            List.of(),
            List.of());

    public Besides {
        notices = List.copyOf(notices);
        rhythms = List.copyOf(rhythms);
        dayNotes = List.copyOf(dayNotes);
        weekNotes = List.copyOf(weekNotes);
        reminders = List.copyOf(reminders);
        took = List.copyOf(took);
        waits = List.copyOf(waits);
    }

    public Besides withNotices(List<Notice> others) {
        return new Besides(others, rhythms, dayNotes, weekNotes, weights, publishing, reminders, took, waits);
    }

    public Besides withRhythms(List<Rhythm> others) {
        return new Besides(notices, others, dayNotes, weekNotes, weights, publishing, reminders, took, waits);
    }

    public Besides withDayNotes(List<DayNote> others) {
        return new Besides(notices, rhythms, others, weekNotes, weights, publishing, reminders, took, waits);
    }

    public Besides withWeekNotes(List<WeekNote> others) {
        return new Besides(notices, rhythms, dayNotes, others, weights, publishing, reminders, took, waits);
    }

    public Besides withWeights(Weights others) {
        return new Besides(notices, rhythms, dayNotes, weekNotes, others, publishing, reminders, took, waits);
    }

    public Besides withPublishing(Publishing other) {
        return new Besides(notices, rhythms, dayNotes, weekNotes, weights, other, reminders, took, waits);
    }

    public Besides withReminders(List<Reminder> others) {
        return new Besides(notices, rhythms, dayNotes, weekNotes, weights, publishing, others, took, waits);
    }

    /** The same without the reminders of these pieces of work alone. */
    public Besides withoutRemindersOf(Set<String> items) {
        return withReminders(With.without(reminders, r -> r.item() != null && items.contains(r.item())));
    }

    public Besides withTook(List<Took> others) {
        return new Besides(notices, rhythms, dayNotes, weekNotes, weights, publishing, reminders, others, waits);
    }

    public Besides withWaits(List<Waiting> others) {
        return new Besides(notices, rhythms, dayNotes, weekNotes, weights, publishing, reminders, took, others);
    }

    /** The same with every notice changed. */
    public Besides eachNotice(UnaryOperator<Notice> change) {
        return withNotices(notices.stream().map(change).toList());
    }

    /** The same for a section by another code, or without it (null). */
    Besides renamed(String section, @Nullable String code) {
        Map<String, String> now = code == null ? Map.of() : Map.of(section, code);
        return eachNotice(n -> n.renamed(section, code))
                .withRhythms(rhythms.stream().map(r -> r.renamed(section, code)).toList())
                .withDayNotes(dayNotes.stream()
                        .filter(n -> code != null || !section.equals(n.section()))
                        .map(n -> new DayNote(
                                n.date(),
                                n.section() == null ? null : now.getOrDefault(n.section(), n.section()),
                                n.text(),
                                n.own()))
                        .toList())
                .withWeekNotes(weekNotes.stream()
                        .filter(n -> code != null || !section.equals(n.section()))
                        .map(n -> new WeekNote(
                                n.first(),
                                n.section() == null ? null : now.getOrDefault(n.section(), n.section()),
                                n.headline(),
                                n.targets()))
                        .toList());
    }
}
