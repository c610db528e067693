package app.matsuri.core.change.dates;

import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeAsItem;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Which;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * The notices of a course while one change goes over many things: the times that sections have of their own stand among
 * the sections' adjustments, as those of work do, and go back into the notices in the end.
 */
public final class NoticesRedated {

    private final Map<String, Notice> notices = new HashMap<>();

    NoticesRedated(Course course) {
        course.besides().notices().forEach(n -> notices.put(NoticeAsItem.id(n), n));
    }

    /** Whether the id means a notice that is a series in some section: it has no single dates to change. */
    boolean series(String id) {
        Notice notice = notices.get(id);
        return notice != null
                && (notice.when().series()
                        || notice.sections().values().stream().anyMatch(NoticeTime::series));
    }

    Course in(Course course) {
        Course now = course;
        for (Map.Entry<String, Notice> each : notices.entrySet()) {
            for (Map.Entry<String, NoticeTime> own : each.getValue().sections().entrySet()) {
                Optional<Section> section = now.section(own.getKey());
                if (section.isPresent() && !series(each.getKey())) {
                    Map<Which, Own<DateRule>> dates = new EnumMap<>(Which.class);
                    NoticeAsItem.rules(own.getValue()).forEach((which, rule) -> dates.put(which, Own.of(rule)));
                    now = now.withSection(section.get().adjusted(new Adjustment(each.getKey(), null, dates, "")));
                }
            }
        }
        return now;
    }

    /**
     * The course with its notices as they are now, and without them among the adjustments.
     *
     * @param redated what differs, by id
     */
    Course out(Course course, Map<String, Item> redated) {
        Course now = course;
        for (Map.Entry<String, Notice> each : notices.entrySet()) {
            Notice was = each.getValue();
            Item item = redated.getOrDefault(each.getKey(), NoticeAsItem.item(was));
            Notice notice = series(each.getKey()) ? was : was.withWhen(time(was.when(), was, rules(item)));
            for (Section section : now.sections()) {
                Optional<Adjustment> own = section.adjustment(each.getKey());
                if (own.isPresent()) {
                    NoticeTime time = was.when(section.code());
                    Map<Which, DateRule> rules = NoticeAsItem.rules(time);
                    own.get().dates().forEach((which, rule) -> rules.put(which, rule.over(rules.get(which))));
                    NoticeTime other = time(time, was, rules);
                    notice = notice.withWhen(section.code(), other.equals(notice.when()) ? null : other);
                    now = now.withSection(section.adjusted(new Adjustment(each.getKey(), null, Map.of(), "")));
                }
            }
            if (!notice.equals(was)) {
                now = now.withNotice(notice);
            }
        }
        return now;
    }

    private static Map<Which, DateRule> rules(Item item) {
        Map<Which, DateRule> rules = new EnumMap<>(Which.class);
        for (Which which : Which.values()) {
            rules.put(which, item.rule(which));
        }
        return rules;
    }

    /** The time with those rules where they differ. */
    private static NoticeTime time(NoticeTime was, Notice notice, Map<Which, DateRule> rules) {
        Map<Which, Own<DateRule>> dates = new EnumMap<>(Which.class);
        NoticeAsItem.rules(was).forEach((which, rule) -> {
            if (!Objects.equals(rule, rules.get(which))) {
                dates.put(which, Own.of(rules.get(which)));
            }
        });
        return dates.isEmpty() ? was : NoticeAsItem.with(was, notice.title(), dates);
    }
}
