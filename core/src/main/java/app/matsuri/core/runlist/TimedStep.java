package app.matsuri.core.runlist;

import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Step;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;

/**
 * One step of a lesson on the clock.
 *
 * @param start when it begins
 * @param minutes how long it takes
 */
public record TimedStep(LocalDateTime start, int minutes, String text) {

    /** When it ends, exclusive. */
    public LocalDateTime end() {
        return start.plusMinutes(minutes);
    }

    /** Whether it runs at a moment. */
    public boolean runs(LocalDateTime at) {
        return !at.isBefore(start) && at.isBefore(end());
    }

    /**
     * The steps of a lesson that begin in one of its sessions.
     *
     * @param slot which of its sessions, from 0
     * @param after minutes of the session that other lessons take before it
     */
    public static List<TimedStep> of(SectionSchedule in, Placement placement, int slot, int after) {
        int from = 0;
        for (int i = 0; i < slot; i++) {
            from += session(in, placement, i).minutes();
        }
        Session session = session(in, placement, slot);
        boolean last = slot == placement.slots().size() - 1;
        List<TimedStep> steps = new ArrayList<>();
        int at = 0;
        for (Step step : placement.lesson().details().steps()) {
            boolean here = at >= from && (last || at < from + session.minutes());
            if (here) {
                steps.add(new TimedStep(
                        session.start().plusMinutes((long) at - from + after), step.minutes(), step.text()));
            }
            at += step.minutes();
        }
        return steps;
    }

    private static Session session(SectionSchedule in, Placement placement, int slot) {
        return in.sessions().get(placement.slots().get(slot).session());
    }
}
