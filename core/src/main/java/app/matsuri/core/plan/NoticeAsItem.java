package app.matsuri.core.plan;

import app.matsuri.core.calendar.Extra;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A notice among dated work, as the table of dates shows it: its beginning stands where work opens, its end where work
 * closes, and it is never due. Its id there is {@code notice:} and its own, since work may have the same.
 */
public final class NoticeAsItem {

    private static final String BEFORE = "notice:";

    private NoticeAsItem() {}

    /** The id of a notice among work. */
    public static String id(Notice notice) {
        return BEFORE + notice.id();
    }

    /** The notice that an id means among work; empty where it means work, or nothing. */
    public static Optional<Notice> find(Course course, String id) {
        return id.startsWith(BEFORE) ? course.notice(id.substring(BEFORE.length())) : Optional.empty();
    }

    /** The notice as work, with its usual time; a series has no dates of its own. */
    public static Item item(Notice notice) {
        NoticeTime when = notice.when();
        return Item.of(id(notice), null, "notice", notice.title(), null)
                .withRule(Which.OPENS, when.begins())
                .withRule(Which.CLOSES, when.ends())
                .withDetails(new ItemDetails(
                        null, "", "", "", List.of(), List.of(), notice.only(), ItemDetails.ALL, List.of(), false));
    }

    /** A unit that holds nothing and dates nothing, where work must have one. */
    public static final Unit NO_UNIT =
            new Unit("", "", "", false, null, "", Map.of(), List.of(), List.of(), Extra.NONE);

    /**
     * The time with other rules for its beginning and its end; an empty one takes the end away.
     *
     * @throws IllegalArgumentException when that means nothing; the message says why
     */
    public static NoticeTime with(NoticeTime when, String title, Map<Which, Optional<DateRule>> dates) {
        if (when.series()) {
            throw new IllegalArgumentException(
                    "“" + title + "” is a series: change it on the Wall, on one of its days.");
        }
        if (dates.containsKey(Which.DUE)) {
            throw new IllegalArgumentException("“" + title + "” is a notice: it begins and ends, and is never due.");
        }
        DateRule begins = dates.getOrDefault(Which.OPENS, Optional.of(when.begins()))
                .orElseThrow(() -> new IllegalArgumentException(
                        "“" + title + "” must begin on some day. Take the notice out if it is over."));
        DateRule ends = dates.getOrDefault(Which.CLOSES, Optional.ofNullable(when.ends()))
                .orElse(null);
        boolean timed = dates.values().stream()
                .anyMatch(rule -> rule.filter(NoticeAsItem::timed).isPresent());
        boolean allDay = when.allDay() && !timed;
        return NoticeTime.once(allDay, allDay ? day(begins) : begins, allDay ? day(ends) : ends);
    }

    /** Whether a date typed by hand names a time of day; without one it is the end of its day. */
    private static boolean timed(DateRule rule) {
        return rule.plain() && !Set.of(LocalTime.of(23, 59), LocalTime.MIDNIGHT).contains(time(rule));
    }

    private static DateRule day(DateRule rule) {
        return rule != null && rule.plain()
                ? DateRule.at(((Anchor.Fixed) rule.anchor()).at().toLocalDate().atStartOfDay())
                : rule;
    }

    private static LocalTime time(DateRule rule) {
        return ((Anchor.Fixed) rule.anchor()).at().toLocalTime();
    }
}
