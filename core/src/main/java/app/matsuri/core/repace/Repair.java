package app.matsuri.core.repace;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.pace.HeldAsPlanned;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A section that is to be repaired after a change, or tidied as it stands: what is over before today and before the class at hand
 * counts as held as planned, and the ways out leave it alone.
 *
 * @param held what counts as held as planned
 * @param base the decisions with that recorded
 * @param after those after the change
 * @param before what followed for the section before the change
 * @param now what follows for it after the change
 * @param from the moment before which nothing changes; null for none
 */
public record Repair(
        HeldAsPlanned held,
        Decisions base,
        Decisions after,
        SectionSchedule before,
        SectionSchedule now,
        @Nullable LocalDateTime from,
        boolean asked) {

    /**
     * What is to be repaired.
     *
     * @param key of the section, "HYD 210/A"
     * @param change what was lost; null for the plan as it stands
     * @param today the day on which it is asked; null where nothing counts as held
     * @throws app.matsuri.core.change.Refused when the change cannot be made
     * @throws IllegalArgumentException when there is no such section
     */
    public static Repair of(Decisions decisions, String key, @Nullable Change change, @Nullable LocalDate today) {
        SectionSchedule stands = section(decisions, key);
        if (today == null) {
            return made(HeldAsPlanned.NOTHING, decisions, key, stands, change, null);
        }
        LocalDateTime hand = LocalDateTime.MAX;
        if (change != null) {
            hand = change.takesHold(stands)
                    .or(() -> Ways.hand(
                            stands, section(Change.make(change, decisions).decisions(), key)))
                    .orElse(LocalDateTime.MAX);
        }
        LocalDateTime from = HeldAsPlanned.earlier(hand, today);
        HeldAsPlanned held = HeldAsPlanned.before(stands, from);
        return made(held, held.in(decisions), key, stands, change, from);
    }

    private static Repair made(
            HeldAsPlanned held,
            Decisions base,
            String key,
            SectionSchedule stands,
            @Nullable Change change,
            @Nullable LocalDateTime from) {
        SectionSchedule before = held.isEmpty() ? stands : section(base, key);
        Decisions after = change == null ? base : Change.make(change, base).decisions();
        return new Repair(
                held, base, after, before, change == null ? before : section(after, key), from, change != null);
    }

    private static SectionSchedule section(Decisions decisions, String key) {
        return Find.section(Schedule.of(decisions), key);
    }

    /**
     * The ways out; of the plan as it stands letting it slide alone.
     *
     * @param by a day from which on nothing may differ from before; null for none
     */
    public List<Way> ways(@Nullable LocalDate by) {
        return asked ? Ways.out(before, now, by, from) : List.of(Ways.slide(now));
    }

    /** The cheapest plan of what is to come. */
    public Way tidy() {
        return Ways.tidy(now, from);
    }

    /** By name, the classes that count as held as planned, with the lessons in them. */
    public Map<LocalDateTime, List<String>> classes() {
        return held.isEmpty() ? Map.of() : held.sections().get(0).classes();
    }
}
