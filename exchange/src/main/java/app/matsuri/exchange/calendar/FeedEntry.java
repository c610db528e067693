package app.matsuri.exchange.calendar;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One entry of a feed.
 *
 * @param uid names it for life
 * @param sequence rises with each telling that changes it
 * @param stamp when it was told
 * @param start local, in the feed's zone; of whole days the beginning of the first
 * @param end exclusive; of whole days the beginning of the day after the last
 * @param wholeDays without a time
 * @param description plain words; may be empty
 * @param place may be empty
 * @param url of its place on the page; may be empty
 * @param busy whether it takes the reader's time
 * @param cancelled whether it was told away
 * @param instanceOf where it is one of a series, which the series calls by this start; null for one alone
 * @param repeats where it is a series; null for one alone
 * @param alarms how long before its end
 */
public record FeedEntry(
        String uid,
        int sequence,
        Instant stamp,
        LocalDateTime start,
        LocalDateTime end,
        boolean wholeDays,
        String title,
        String description,
        String place,
        String url,
        String category,
        boolean busy,
        boolean cancelled,
        @Nullable LocalDateTime instanceOf,
        @Nullable Repeats repeats,
        List<Duration> alarms) {

    /**
     * How a series repeats.
     *
     * @param rule a recurrence by RFC 5545
     * @param without days on which the rule has it and it is not
     */
    public record Repeats(String rule, List<LocalDate> without) {

        public Repeats {
            without = List.copyOf(without);
        }
    }

    public FeedEntry {
        alarms = List.copyOf(alarms);
    }

    /** A span that is taken, without any other word. */
    public static FeedEntry of(
            String uid, Instant stamp, LocalDateTime start, LocalDateTime end, String title, String place) {
        return new FeedEntry(
                uid, 0, stamp, start, end, false, title, "", place, "", "class", true, false, null, null, List.of());
    }

    /** The same in other words. */
    public FeedEntry withDescription(String other) {
        return new FeedEntry(
                uid,
                sequence,
                stamp,
                start,
                end,
                wholeDays,
                title,
                other,
                place,
                url,
                category,
                busy,
                cancelled,
                instanceOf,
                repeats,
                alarms);
    }
}
