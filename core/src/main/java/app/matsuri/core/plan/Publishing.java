package app.matsuri.core.plan;

import java.util.List;
import java.util.Objects;

/**
 * How a course is shown to its students.
 *
 * @param language one of {@link #LANGUAGES}, in which pages, sheets and feeds are
 * @param twelveHours "5:00 pm" in place of "17:00"
 * @param linkAroundClass the link to a meeting stands on the page from the day before a class until its end, and not before or after
 */
public record Publishing(String language, boolean twelveHours, boolean linkAroundClass) {

    /** The languages there are, as BCP 47 names them. */
    public static final List<String> LANGUAGES = List.of("en", "de", "fr", "es");

    /** To begin with. */
    public static final Publishing USUAL = new Publishing("en", false, false);

    public Publishing {
        Objects.requireNonNull(language, "language");
        if (!LANGUAGES.contains(language)) {
            throw new IllegalArgumentException("pages are in " + String.join(", ", LANGUAGES) + ", not in " + language);
        }
    }
}
