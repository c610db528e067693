package app.matsuri.core.plan;

import java.util.Objects;

/**
 * How long a unit took in an earlier term, which comes along when the course is rolled over.
 *
 * @param unit id of the unit
 * @param term name of the term
 * @param section code of the section
 * @param sessions taught, in sessions of the course's usual length
 */
public record Took(String unit, String term, String section, int sessions) {

    public Took {
        Objects.requireNonNull(unit, "unit");
        Objects.requireNonNull(term, "term");
        Objects.requireNonNull(section, "section");
        if (sessions < 0) {
            throw new IllegalArgumentException("a unit cannot take less than no session");
        }
    }

    /** Whether it is about the same unit of the same section and term. */
    public boolean same(Took other) {
        return unit.equals(other.unit) && term.equals(other.term) && section.equals(other.section);
    }
}
