package app.matsuri.core.gradebook;

import java.time.LocalDateTime;

/**
 * Work that a student handed in: a fact, which no change of the plan touches.
 *
 * @param course code of the course
 * @param item id of the work
 * @param student id of the student
 * @param at when, in the term's zone
 */
public record HandIn(String course, String item, String student, LocalDateTime at) {}
