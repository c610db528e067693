package app.matsuri.core.plan;

import java.util.Objects;

/**
 * One thing that happens in a lesson.
 *
 * @param minutes how long it takes, 0 or more
 * @param text what happens
 */
public record Step(int minutes, String text) {

    public Step {
        Objects.requireNonNull(text, "text");
        if (minutes < 0) {
            throw new IllegalArgumentException("a step takes 0 minutes or more");
        }
    }
}
