package app.matsuri.server.outline;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What was understood of a line.
 *
 * @param said the whole in words
 * @param key of the new thing, such as "lesson:CH6"; empty for a note on a day
 * @param parts the line word by word
 * @param wrong what to write in place of what was not understood; null when all of it was
 * @param course code of the course that it is for, where the line is typed into a day
 * @param change that adds it; null when something was not understood
 */
record LineRead(
        String said,
        String key,
        List<Words> parts,
        @Nullable String wrong,
        @Nullable String course,
        @Schema(types = {"object", "null"}) @Nullable Map<String, Object> change) {

    LineRead(String said, String key, List<Words> parts, @Nullable String wrong, @Nullable Map<String, Object> change) {
        this(said, key, parts, wrong, null, change);
    }

    /** The same for a course; with the words that named it, where some did. */
    LineRead in(String code, @Nullable String words) {
        List<Words> all = new ArrayList<>(parts);
        if (words != null && !parts.isEmpty()) {
            all.add(new Words(words, "the course", true));
        }
        return new LineRead(said, key, all, wrong, code, change);
    }

    /** Some words of the line and what they were taken as. */
    record Words(String text, String as, boolean understood) {}
}
