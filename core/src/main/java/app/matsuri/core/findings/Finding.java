package app.matsuri.core.findings;

import app.matsuri.core.change.Change;
import org.jspecify.annotations.Nullable;

/**
 * Something about a plan that a person should know.
 *
 * @param code stable name of what was found
 * @param sentence plain words, with a full stop
 * @param mend a change that mends it; null where there is none
 */
public record Finding(
        String code,
        Severity severity,
        About about,
        String sentence,
        @Nullable Change mend) {

    /** How much it matters. */
    public enum Severity {
        PROBLEM,
        WARNING,
        REMARK
    }

    /**
     * What it is about.
     *
     * @param what "lesson", "item", "session", "section" or "week"
     * @param course code of the course
     * @param section code of the section
     * @param id of the lesson or item, or name of the session
     */
    public record About(String what, String course, String section, String id) {}

    /** What makes two findings the same, in whatever words. */
    public record Same(String code, About about) {}

    public Same same() {
        return new Same(code, about);
    }
}
