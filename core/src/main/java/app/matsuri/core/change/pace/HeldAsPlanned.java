package app.matsuri.core.change.pace;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Together;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What counts as held as planned when a repair is asked for: classes without a record that lie before the day on which it is asked,
 * and before the class at hand. What is past does not move, whether it was recorded or not.
 *
 * @param sections those of which some do
 */
public record HeldAsPlanned(List<Of> sections) {

    /** Nothing. */
    public static final HeldAsPlanned NOTHING = new HeldAsPlanned(List.of());

    public HeldAsPlanned {
        sections = List.copyOf(sections);
    }

    /**
     * What does in one section.
     *
     * @param record what records it
     * @param classes names of the classes, with the lessons in them, in order of time
     * @param said "15 classes of A up to Mon 5 Oct"
     */
    public record Of(
            String course, String section, RecordHeld record, Map<LocalDateTime, List<String>> classes, String said) {}

    /**
     * What does when a change is asked for on a day; nothing where it is no repair.
     *
     * @param today null where it is not known, so that nothing counts
     */
    public static HeldAsPlanned of(Schedule schedule, Change change, @Nullable LocalDate today) {
        List<Of> all = new ArrayList<>();
        if (today != null && !says(change)) {
            for (SectionSchedule in : schedule.sections()) {
                change.takesHold(in)
                        .ifPresent(hand ->
                                all.addAll(before(in, earlier(hand, today)).sections()));
            }
        }
        return new HeldAsPlanned(all);
    }

    /** Whether a change says itself what was held. */
    private static boolean says(Change change) {
        return change instanceof RecordHeld
                || change instanceof Together together
                        && together.changes().stream().anyMatch(HeldAsPlanned::says);
    }

    /** The earlier of the class at hand and the beginning of the day on which it is asked. */
    public static LocalDateTime earlier(LocalDateTime hand, LocalDate today) {
        return hand.isBefore(today.atStartOfDay()) ? hand : today.atStartOfDay();
    }

    /** What does in a section before a moment. */
    public static HeldAsPlanned before(SectionSchedule in, LocalDateTime cut) {
        RecordHeld record = new RecordHeld(in.course().code(), in.section().code(), null, cut.toLocalDate(), cut);
        Map<LocalDateTime, List<String>> classes = record.classes(in);
        return classes.isEmpty()
                ? NOTHING
                : new HeldAsPlanned(List.of(new Of(
                        in.course().code(), in.section().code(), record, classes, RecordHeld.said(in, classes))));
    }

    public boolean isEmpty() {
        return sections.isEmpty();
    }

    /** The decisions with it recorded. */
    public Decisions in(Decisions decisions) {
        Decisions now = decisions;
        for (Of one : sections) {
            now = one.record().apply(now).decisions();
        }
        return now;
    }

    /** The change as one step with the records before it. */
    public Change with(Change change, Decisions before) {
        if (sections.isEmpty()) {
            return change;
        }
        List<Change> all = new ArrayList<>();
        sections.forEach(of -> all.add(of.record()));
        all.add(change);
        return new Together(change.sentence(before) + "; " + sentence(), all);
    }

    /** "15 classes of A up to Mon 5 Oct count as held as planned"; empty for none. */
    public String sentence() {
        if (sections.isEmpty()) {
            return "";
        }
        boolean one = sections.size() == 1 && sections.get(0).classes().size() == 1;
        return String.join(", ", sections.stream().map(Of::said).toList())
                + (one ? " counts" : " count")
                + " as held as planned";
    }
}
