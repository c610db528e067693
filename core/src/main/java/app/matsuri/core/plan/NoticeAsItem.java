package app.matsuri.core.plan;

import app.matsuri.core.calendar.Extra;
import java.time.LocalTime;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A notice among dated work, as the table of dates shows it: its beginning stands where work opens, its end where work
 * closes, and it is never due. Its id there is {@code notice:} and its own, since work may have the same.
 */
public final class NoticeAsItem {

    /** The kind of a notice among work. */
    public static final String KIND = "notice";

    private static final String BEFORE = "notice:";

    private NoticeAsItem() {}

    /** The id of a notice among work. */
    public static String id(Notice notice) {
        return BEFORE + notice.id();
    }

    /** Whether an id among work is that of a notice. */
    public static boolean means(String id) {
        return id.startsWith(BEFORE);
    }

    /** The notice that an id means among work; empty where it means work, or nothing. */
    public static Optional<Notice> find(Course course, String id) {
        return means(id) ? course.notice(id.substring(BEFORE.length())) : Optional.empty();
    }

    /** The notice as work, with its usual time; a series has no dates of its own. */
    public static Item item(Notice notice) {
        List<String> only = notice.reach() == Notice.Reach.EVERYONE ? List.of() : notice.only();
        Item item = Item.of(id(notice), null, KIND, notice.title(), null)
                .withDetails(new ItemDetails(
                        null, "", "", "", List.of(), List.of(), only, ItemDetails.ALL, List.of(), false));
        return item.withRules(rules(notice.when()));
    }

    /** The work that an id means, or the notice as work. */
    public static Optional<Item> item(Course course, String id) {
        return course.item(id).or(() -> find(course, id).map(NoticeAsItem::item));
    }

    /** Whether the id means a notice of whole days, in the section or where null in those without a time of their own. */
    public static boolean wholeDays(Course course, String id, @Nullable String section) {
        return find(course, id)
                .map(n -> section == null ? n.when() : n.when(section))
                .filter(NoticeTime::allDay)
                .isPresent();
    }

    /** The rules of a time as those of work; null for the date that it does not have. */
    public static Map<Which, DateRule> rules(NoticeTime when) {
        Map<Which, DateRule> rules = new EnumMap<>(Which.class);
        rules.put(Which.OPENS, when.begins());
        rules.put(Which.CLOSES, when.ends());
        return rules;
    }

    /** A unit that holds nothing and dates nothing, where work must have one. */
    public static final Unit NO_UNIT =
            new Unit("", "", "", false, null, "", Map.of(), List.of(), List.of(), Extra.NONE);

    /**
     * The time with other rules for its beginning and its end; none takes the end away.
     *
     * @throws IllegalArgumentException when that means nothing; the message says why
     */
    public static NoticeTime with(NoticeTime when, String title, Map<Which, Own<DateRule>> dates) {
        if (when.series()) {
            throw new IllegalArgumentException(
                    "“" + title + "” is a series: change it on the Wall, on one of its days.");
        }
        if (dates.containsKey(Which.DUE)) {
            throw new IllegalArgumentException("“" + title + "” is a notice: it begins and ends, and is never due.");
        }
        DateRule begins = Optional.ofNullable(rule(dates, Which.OPENS, when.begins(), title))
                .orElseThrow(() -> new IllegalArgumentException(
                        "“" + title + "” must begin on some day. Take the notice out if it is over."));
        DateRule ends = rule(dates, Which.CLOSES, when.ends(), title);
        boolean timed = dates.values().stream()
                .anyMatch(own -> own.said().filter(NoticeAsItem::timed).isPresent());
        boolean allDay = when.allDay() && !timed;
        return NoticeTime.once(allDay, allDay ? day(begins) : begins, allDay ? day(ends) : ends);
    }

    /** The rule that was typed, else the one there was; what hangs on where work opens hangs on the beginning. */
    private static @Nullable DateRule rule(
            Map<Which, Own<DateRule>> dates, Which which, @Nullable DateRule was, String title) {
        DateRule rule = dates.getOrDefault(which, Own.asPlanned()).over(was);
        Optional<Which> own = Optional.ofNullable(rule).flatMap(r -> r.anchor().own());
        if (rule != null && own.isPresent()) {
            if (which != Which.CLOSES || own.get() != Which.OPENS) {
                throw new IllegalArgumentException("“" + title
                        + "” is a notice: only its end can hang on a date of its own, and only on its beginning.");
            }
            return rule.from(new Anchor.OwnBeginning(), rule.plus());
        }
        return rule;
    }

    /** Whether a date typed by hand names a time of day; without one it is the end of its day. */
    private static boolean timed(DateRule rule) {
        return rule.plain() && !Set.of(LocalTime.of(23, 59), LocalTime.MIDNIGHT).contains(time(rule));
    }

    private static @Nullable DateRule day(@Nullable DateRule rule) {
        return rule != null && rule.plain()
                ? DateRule.at(rule.typed().toLocalDate().atStartOfDay())
                : rule;
    }

    private static LocalTime time(DateRule rule) {
        return rule.typed().toLocalTime();
    }
}
