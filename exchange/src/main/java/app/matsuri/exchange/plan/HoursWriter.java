package app.matsuri.exchange.plan;

import app.matsuri.core.plan.BookingRules;
import app.matsuri.core.plan.OfficeHours;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Writes office hours. */
public final class HoursWriter {

    private HoursWriter() {}

    public static Map<String, Object> hours(OfficeHours hours) {
        return new Out()
                .put("id", hours.id())
                .put("title", hours.title())
                .some("courses", hours.courses())
                .put(
                        "windows",
                        hours.windows().stream().map(PlanWriter::pattern).toList())
                .some("booking", booking(hours.booking()))
                .unless("", "howToCome", hours.howToCome())
                .unless(false, "onDaysOff", hours.onDaysOff())
                .some(
                        "changes",
                        hours.changes().stream().map(PlanWriter::change).toList())
                .some("blocked", hours.blocked().stream().map(Words::moment).toList())
                .with(hours.extra());
    }

    private static @Nullable Map<String, Object> booking(@Nullable BookingRules rules) {
        return rules == null
                ? null
                : new Out()
                        .put("minutes", rules.minutes())
                        .unless(0, "pause", rules.pause())
                        .unless(1, "places", rules.places())
                        .unless(1, "groupFrom", rules.groupFrom())
                        .unless(1, "groupTo", rules.groupTo())
                        .some("aWeek", rules.aWeek())
                        .some("aTerm", rules.aTerm())
                        .unless(14, "fromDays", rules.fromDays())
                        .unless(1, "untilHours", rules.untilHours())
                        .unless(1, "giveBackHours", rules.giveBackHours())
                        .unless(false, "namesSeen", rules.namesSeen())
                        .map();
    }
}
