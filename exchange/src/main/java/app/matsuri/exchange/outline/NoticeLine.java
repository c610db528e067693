package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.exchange.words.RepeatWords;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** A notice as a line says it, and a notice in words. */
public final class NoticeLine {

    private NoticeLine() {}

    /**
     * The notice of a line.
     *
     * @param unit id of the unit it belongs to; null for none
     */
    public static Notice notice(TypedLine line, NoticeTime when, Course into, @Nullable String unit) {
        return new Notice(
                id(into, line.title()),
                unit,
                line.title(),
                "",
                line.place(),
                List.of(),
                when,
                Map.of(),
                Notice.Reach.COURSE,
                List.of(),
                List.of(),
                null,
                Extra.NONE);
    }

    /** "“Field day”, a notice: Sat 24 Oct, 08:15 to 15:30, Weir House". */
    public static String say(Notice notice) {
        String place = notice.place().isEmpty() ? "" : ", " + notice.place();
        return "“" + notice.title() + "”, a notice: " + when(notice.when()) + place;
    }

    private static String when(NoticeTime when) {
        if (when.series()) {
            return RepeatWords.say(when.repeats().get(0));
        }
        DateRule beginning = Known.there(when.begins(), "a beginning");
        DateRule end = when.ends();
        String begins = moment(beginning, when.allDay());
        if (end == null) {
            return begins;
        }
        LocalDateTime first = fixed(beginning);
        LocalDateTime last = fixed(end);
        boolean oneDay = first != null && last != null && first.toLocalDate().equals(last.toLocalDate());
        return begins + " to " + (last != null && oneDay ? Say.time(last.toLocalTime()) : moment(end, when.allDay()));
    }

    private static String moment(DateRule rule, boolean allDay) {
        LocalDateTime at = fixed(rule);
        if (at == null) {
            return RuleSaid.beside(rule, null);
        }
        return allDay || at.toLocalTime().equals(LocalTime.MIDNIGHT) ? Say.day(at.toLocalDate()) : Say.moment(at);
    }

    private static @Nullable LocalDateTime fixed(DateRule rule) {
        return rule.plain() ? rule.typed() : null;
    }

    /** An id for a notice of that title that the course does not have yet. */
    public static String id(Course into, String title) {
        String slug =
                title.toLowerCase(Locale.ROOT).replaceAll("[^\\p{Alnum}]+", "-").replaceAll("^-|-$", "");
        String stem = slug.isEmpty() ? "notice" : slug.substring(0, Math.min(40, slug.length()));
        String id = stem;
        for (int n = 2; into.notice(id).isPresent(); n++) {
            id = stem + "-" + n;
        }
        return id;
    }
}
