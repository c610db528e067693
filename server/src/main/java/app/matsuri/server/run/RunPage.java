package app.matsuri.server.run;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The classes of a day, in words.
 *
 * @param days those that can be looked at
 * @param live it is today: the page asks for itself anew each minute
 */
public record RunPage(String language, String title, List<DayLink> days, boolean live, List<ClassLine> classes) {

    /** Another day. */
    public record DayLink(String words, String address, boolean here) {}

    /**
     * A class.
     *
     * @param look of its first unit's thread; empty for none
     * @param running how long it still runs, in words; null when it does not
     */
    public record ClassLine(
            String when,
            String course,
            String place,
            String link,
            String students,
            @Nullable String running,
            List<PartLine> parts,
            List<WorkLine> work,
            List<String> notices,
            List<String> words) {}

    /** A lesson, or one part of it. */
    public record PartLine(
            String look,
            String code,
            String title,
            String part,
            List<StepLine> steps,
            List<LinkLine> links,
            String notes) {}

    /**
     * What happens.
     *
     * @param running how long it still runs, in words; null when it does not
     */
    public record StepLine(
            String at,
            String minutes,
            String text,
            @Nullable String running) {}

    /** A link or a file; without an address it is only named. */
    public record LinkLine(String title, String address) {}

    /** Work with a date on the day. */
    public record WorkLine(String title, String words) {}
}
