package app.matsuri.core.session;

import java.time.DayOfWeek;

/**
 * The beat of a section without meetings.
 *
 * @param weekday one session a week on this weekday; null for one each teaching day
 */
public record Beat(DayOfWeek weekday) {}
