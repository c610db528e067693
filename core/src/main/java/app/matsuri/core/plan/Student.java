package app.matsuri.core.plan;

import java.util.Objects;

/**
 * Someone on a section's roster. Private: never on a page that students open, and left behind when a course is rolled
 * over.
 *
 * @param id names the student within the course
 * @param name as it is called
 * @param mail address; may be empty
 */
public record Student(String id, String name, String mail) {

    public Student {
        Objects.requireNonNull(mail, "mail");
        if (id.isBlank() || name.isBlank()) {
            throw new IllegalArgumentException("a student needs an id and a name");
        }
    }
}
