package app.matsuri.core.schedule;

import org.jspecify.annotations.Nullable;

/**
 * The dates of one item for one student who has other dates than the section. Private.
 *
 * @param student id of the student
 */
public record StudentDates(@Nullable String student, ItemDates dates) {}
