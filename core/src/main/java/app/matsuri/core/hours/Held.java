package app.matsuri.core.hours;

import java.time.LocalDateTime;

/**
 * A booking that is held, as far as slots go.
 *
 * @param slot name of its slot
 * @param start when that was, as last said to who booked
 * @param people how many places it takes
 * @param mine whether the person asking holds it
 */
public record Held(LocalDateTime slot, LocalDateTime start, int people, boolean mine) {}
