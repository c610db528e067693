package app.matsuri.core.schedule;

/**
 * Work of another course that a section has too.
 *
 * @param course code of its own course
 * @param dates as the first section of that course has them that it is for
 */
public record SharedDates(String course, ItemDates dates) {}
