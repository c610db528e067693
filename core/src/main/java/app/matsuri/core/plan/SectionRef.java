package app.matsuri.core.plan;

import java.util.Objects;

/**
 * Which section of a term.
 *
 * @param course code of its course
 * @param section its code in it
 */
public record SectionRef(String course, String section) {

    public SectionRef {
        Objects.requireNonNull(course, "course");
        Objects.requireNonNull(section, "section");
    }

    /** "HYD 210/A", as plan files have it where something is for one section. */
    @Override
    public String toString() {
        return course + "/" + section;
    }
}
