package app.matsuri.server.feed;

import app.matsuri.core.plan.Reminder;
import app.matsuri.core.plan.Reminder.Before;
import app.matsuri.core.plan.Reminder.Lead;
import app.matsuri.core.plan.Reminder.Whom;
import app.matsuri.core.plan.Which;
import app.matsuri.core.reminding.Remindings;
import app.matsuri.core.shown.ShownThing;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Which alarms the entries of a feed have: as the address says, else as the course does.
 *
 * @param course code of the course
 * @param reminders of the course
 * @param to whose feed it is
 * @param classes minutes before each class; null for none of one's own
 * @param contents what the address says
 */
record Alarms(
        String course,
        List<Reminder> reminders,
        Whom to,
        @Nullable Integer classes,
        FeedContents contents) {

    Alarms {
        reminders = reminders.stream().filter(r -> r.feed() && r.to() == to).toList();
    }

    /** How long before the end of an entry those of a date of work sound. */
    List<Duration> of(ShownThing thing, Which which, LocalDateTime at, LocalDateTime end) {
        if (contents.silent()) {
            return List.of();
        }
        if (contents.remind() != null) {
            return which == Which.OPENS || thing.about() == null ? List.of() : List.of(contents.remind());
        }
        Before before = switch (which) {
            case OPENS -> Before.OPENS;
            case DUE -> Before.DUE;
            case CLOSES -> Before.CLOSES;
        };
        return Remindings.holding(reminders, course, thing, before).stream()
                .map(r -> Duration.between(r.lead().of(at), end))
                .distinct()
                .toList();
    }

    /** Likewise, those of a class. */
    List<Duration> ofClass(LocalDateTime start, LocalDateTime end) {
        if (contents.silent()) {
            return List.of();
        }
        return Stream.concat(
                        reminders.stream()
                                .filter(r -> r.before() == Before.SESSION)
                                .map(Reminder::lead),
                        classes == null ? Stream.empty() : Stream.of(Lead.minutes(classes)))
                .map(lead -> Duration.between(lead.of(start), end))
                .distinct()
                .toList();
    }
}
