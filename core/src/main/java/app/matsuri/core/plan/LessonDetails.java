package app.matsuri.core.plan;

import java.util.List;
import java.util.Objects;

/**
 * What a lesson is about and made of, beside when it is.
 *
 * @param objectives what students can do by its end; may be empty
 * @param steps what happens in it, in order, over all its sessions
 */
public record LessonDetails(String objectives, List<Step> steps, List<Link> links, List<FileUse> files) {

    /** Nothing said. */
    public static final LessonDetails NONE = new LessonDetails("", List.of(), List.of(), List.of());

    public LessonDetails {
        Objects.requireNonNull(objectives, "objectives");
        steps = List.copyOf(steps);
        links = List.copyOf(links);
        files = List.copyOf(files);
    }

    /** The same with other files. */
    public LessonDetails withFiles(List<FileUse> others) {
        return new LessonDetails(objectives, steps, links, others);
    }

    /** The minutes that its steps take together. */
    public int minutes() {
        return steps.stream().mapToInt(Step::minutes).sum();
    }
}
