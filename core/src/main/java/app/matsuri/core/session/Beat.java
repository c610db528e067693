package app.matsuri.core.session;

import java.time.DayOfWeek;
import org.jspecify.annotations.Nullable;

/**
 * The beat of a section without meetings.
 *
 * @param weekday one session a week on this weekday; null for one each teaching day
 */
public record Beat(@Nullable DayOfWeek weekday) {}
