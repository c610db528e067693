package app.matsuri.core.schedule;

/**
 * The dates of one item for one student who has other dates than the section. Private.
 *
 * @param student id of the student
 */
public record StudentDates(String student, ItemDates dates) {}
