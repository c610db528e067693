package app.matsuri.server.page;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.shown.ShownNotice;
import java.math.BigDecimal;
import java.text.NumberFormat;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.util.Locale;
import org.springframework.context.MessageSource;

/** Words of pages in one language: sentences from the message bundles, weekdays and months as the JDK has them from CLDR. */
public final class PageWords {

    private final MessageSource messages;
    private final Locale locale;
    private final DateTimeFormatter day;
    private final DateTimeFormatter longDay;
    private final DateTimeFormatter month;
    private final DateTimeFormatter time;

    public PageWords(MessageSource messages, Locale locale, boolean twelveHours) {
        this.messages = messages;
        this.locale = locale;
        this.day = DateTimeFormatter.ofPattern(say("pattern.day"), locale);
        this.longDay = DateTimeFormatter.ofPattern(say("pattern.longDay"), locale);
        this.month = DateTimeFormatter.ofPattern(say("pattern.dayMonth"), locale);
        this.time = DateTimeFormatter.ofPattern(twelveHours ? "h:mm a" : "HH:mm", locale);
    }

    /** The language. */
    public Locale locale() {
        return locale;
    }

    /** The language, as pages name it. */
    public String language() {
        return locale.toLanguageTag();
    }

    /** A sentence; numbers in it as they are. */
    public String say(String key, Object... with) {
        return messages.getMessage(key, with, locale);
    }

    /** The word for a kind of work; what the person wrote where it is a kind of their own. */
    public String kind(String kind) {
        return Known.there(messages.getMessage("kind." + kind, null, kind, locale), kind);
    }

    /** "Thu 22 Oct". */
    public String day(LocalDate date) {
        return day.format(date);
    }

    /** "Wednesday 7 October". */
    public String longDay(LocalDate date) {
        return longDay.format(date);
    }

    /** "7 October". */
    public String dayMonth(LocalDate date) {
        return month.format(date);
    }

    /** "Thu". */
    public String weekday(LocalDate date) {
        return date.getDayOfWeek().getDisplayName(TextStyle.SHORT, locale);
    }

    /** "17:00". */
    public String time(LocalDateTime at) {
        return time.format(at);
    }

    /** When something ends that began on a day: midnight is the end of that day. */
    public String end(LocalDateTime from, LocalDateTime to) {
        boolean midnight = to.toLocalTime().equals(LocalTime.MIDNIGHT)
                && to.toLocalDate().equals(from.toLocalDate().plusDays(1));
        return midnight ? say("midnight") : time(to);
    }

    /** "Thu 22 Oct, 17:00". */
    public String moment(LocalDateTime at) {
        return say("moment", day(at.toLocalDate()), time(at));
    }

    /** The same without the day where that is the reader's today. */
    public String moment(LocalDateTime at, LocalDate today) {
        return at.toLocalDate().equals(today) ? say("today.at", time(at)) : moment(at);
    }

    /** When a notice is: a day, days, a moment, or from one to another; of one that repeats, when it is next. */
    public String when(ShownNotice notice, LocalDateTime now) {
        if (!notice.entries().isEmpty()) {
            return notice.entries().stream()
                    .filter(at -> !at.isBefore(now))
                    .findFirst()
                    .map(at -> say("notice.next", notice.wholeDays() ? day(at.toLocalDate()) : moment(at)))
                    .orElse("");
        }
        LocalDateTime from = notice.begins();
        LocalDateTime to = notice.ends() == null ? from : notice.ends();
        if (notice.wholeDays()) {
            return from.toLocalDate().equals(to.toLocalDate())
                    ? day(from.toLocalDate())
                    : say("span", day(from.toLocalDate()), day(to.toLocalDate()));
        }
        if (from.equals(to)) {
            return moment(from);
        }
        return from.toLocalDate().equals(to.toLocalDate())
                ? say("span", moment(from), time(to))
                : say("span", moment(from), moment(to));
    }

    /** "30", "12.5". */
    public String number(BigDecimal number) {
        return NumberFormat.getInstance(locale).format(number);
    }

    /** The name of a zone, such as "Central Time". */
    public String zone(ZoneId zone) {
        return zone.getDisplayName(TextStyle.FULL, locale);
    }
}
