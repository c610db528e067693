package app.matsuri.core.plan;

import java.time.LocalDateTime;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * A stored file as one thing uses it.
 *
 * @param file name under which its bytes are stored
 * @param name what people see, such as "Survey sheet.pdf"
 * @param publish whether students may have it; bought material may not be published
 * @param from when students get it, in the term's zone; null for not at a date
 * @param with with what else they get it: {@link #UNIT}, or id of the lesson in whose first class they do; null, as without a date, for as
 *     soon as the thing opens
 */
public record FileUse(
        String file,
        String name,
        boolean publish,
        @Nullable LocalDateTime from,
        @Nullable String with) {

    /** The same from another moment on; where null, when its unit begins. */
    public FileUse from(@Nullable LocalDateTime other) {
        return new FileUse(file, name, publish, other, other == null ? UNIT : null);
    }

    /** When its unit begins. */
    public static final String UNIT = "unit";

    public FileUse {
        Objects.requireNonNull(file, "file");
        Objects.requireNonNull(name, "name");
    }
}
