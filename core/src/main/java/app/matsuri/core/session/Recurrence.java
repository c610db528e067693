package app.matsuri.core.session;

import app.matsuri.core.calendar.TimeLimit;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import org.dmfs.rfc5545.DateTime;
import org.dmfs.rfc5545.Weekday;
import org.dmfs.rfc5545.recur.Freq;
import org.dmfs.rfc5545.recur.InvalidRecurrenceRuleException;
import org.dmfs.rfc5545.recur.RecurrenceRule;
import org.dmfs.rfc5545.recur.RecurrenceRuleIterator;
import org.jspecify.annotations.Nullable;

/**
 * A recurrence of days by RFC 5545 section 3.3.10, in the part of it that class meetings need: FREQ DAILY, WEEKLY or
 * MONTHLY with INTERVAL, BYDAY (with ordinals when monthly), BYMONTHDAY, BYSETPOS, COUNT, UNTIL and WKST.
 */
public final class Recurrence {

    private static final Set<String> KNOWN =
            Set.of("FREQ", "INTERVAL", "BYDAY", "BYMONTHDAY", "BYSETPOS", "COUNT", "UNTIL", "WKST");

    private final RecurrenceRule rule;
    private final DayOfWeek weekStart;

    private Recurrence(RecurrenceRule rule) {
        this.rule = rule;
        this.weekStart = DayOfWeek.of(
                rule.getWeekStart().ordinal() == 0 ? 7 : rule.getWeekStart().ordinal());
    }

    /**
     * Reads a rule.
     *
     * @throws IllegalArgumentException when it is no rule, or outside the part that is read; the message says why
     */
    public static Recurrence of(String text) {
        RecurrenceRule rule;
        try {
            rule = new RecurrenceRule(text.trim().toUpperCase(Locale.ROOT), RecurrenceRule.RfcMode.RFC5545_STRICT);
        } catch (InvalidRecurrenceRuleException | RuntimeException e) {
            throw new IllegalArgumentException("“" + text + "” is no recurrence rule: " + e.getMessage(), e);
        }
        Freq freq = rule.getFreq();
        if (freq != Freq.DAILY && freq != Freq.WEEKLY && freq != Freq.MONTHLY) {
            throw new IllegalArgumentException(
                    "“" + text + "” repeats " + freq + "; meetings repeat DAILY, WEEKLY or MONTHLY");
        }
        for (String part : text.trim().toUpperCase(Locale.ROOT).split(";")) {
            String name = part.replaceFirst("=.*", "");
            if (!KNOWN.contains(name)) {
                throw new IllegalArgumentException("“" + text + "” uses " + name
                        + "; meetings use INTERVAL, BYDAY, BYMONTHDAY, BYSETPOS, COUNT, UNTIL and WKST");
            }
        }
        if (freq != Freq.MONTHLY
                && rule.getByDayPart() != null
                && rule.getByDayPart().stream().anyMatch(day -> day.pos != 0)) {
            throw new IllegalArgumentException("“" + text + "” numbers its weekdays, which only MONTHLY may");
        }
        Recurrence recurrence = new Recurrence(rule);
        if (!recurrence.everOccurs()) {
            throw new IllegalArgumentException(
                    "“" + text
                            + "” never occurs: no day is all that it asks for. Write one that does, such as FREQ=WEEKLY;BYDAY=MO");
        }
        return recurrence;
    }

    /** Whether there is any day from which it recurs: each month and each weekday is tried as its anchor. */
    private boolean everOccurs() {
        DateTime until = rule.getUntil();
        LocalDate base = until == null
                ? LocalDate.of(2024, 1, 1)
                : LocalDate.of(until.getYear(), 1, 1).minusYears(4);
        for (int month = 0; month < 12; month++) {
            for (int day = 0; day < (month == 0 ? 7 : 1); day++) {
                if (occursFrom(base.plusMonths(month).plusDays(day))) {
                    return true;
                }
            }
        }
        return false;
    }

    private boolean occursFrom(LocalDate anchor) {
        RecurrenceRuleIterator found = iterator(anchor);
        DateTime first = found == null ? null : next(found);
        // the engine hands out the anchor itself even where it does not fit
        return found != null
                && first != null
                && (first.getDayOfMonth() != anchor.getDayOfMonth()
                        || next(found) != null
                        || Objects.equals(rule.getCount(), 1));
    }

    /**
     * The days on which it recurs.
     *
     * @param anchor where it is anchored: no day before it recurs, and every k weeks or months are counted from it
     * @param last the last day of interest, inclusive
     * @return in order, from the anchor on
     */
    public List<LocalDate> dates(LocalDate anchor, LocalDate last) {
        List<LocalDate> dates = new ArrayList<>();
        RecurrenceRuleIterator iterator = iterator(anchor);
        if (iterator == null) {
            return dates;
        }
        for (DateTime next = next(iterator); next != null; next = next(iterator)) {
            TimeLimit.look();
            LocalDate date = LocalDate.of(next.getYear(), next.getMonth() + 1, next.getDayOfMonth());
            if (date.isAfter(last)) {
                break;
            }
            if (!date.isBefore(anchor) && fits(date, anchor)) {
                dates.add(date);
            }
        }
        return dates;
    }

    /**
     * Whether a day that runs as another weekday has that weekday's meeting: asked of the day with that weekday in
     * the day's own week, weeks beginning as the rule says.
     */
    public boolean meetsAs(LocalDate day, DayOfWeek weekday, LocalDate anchor) {
        LocalDate stand = weekOf(day).plusDays(Math.floorMod(weekday.getValue() - weekStart.getValue(), 7));
        LocalDate from = stand.isBefore(anchor) ? anchorBefore(stand, anchor) : anchor;
        return dates(from, stand).contains(stand);
    }

    /** An anchor at or before the day that keeps the count of intervals of the real one. */
    private LocalDate anchorBefore(LocalDate day, LocalDate anchor) {
        int interval = rule.getInterval();
        return switch (rule.getFreq()) {
            case WEEKLY -> {
                long weeks = ChronoUnit.WEEKS.between(weekOf(day), weekOf(anchor));
                yield weekOf(anchor).minusWeeks((weeks + interval - 1) / interval * interval);
            }
            case DAILY -> {
                long days = ChronoUnit.DAYS.between(day, anchor);
                yield anchor.minusDays((days + interval - 1) / interval * interval);
            }
            default -> anchor.minusMonths((long) interval * (1 + ChronoUnit.MONTHS.between(day, anchor) / interval));
        };
    }

    /** The next day; null behind the last, and where the engine says that it has looked far and found none. */
    private static @Nullable DateTime next(RecurrenceRuleIterator iterator) {
        try {
            return iterator.hasNext() ? iterator.nextDateTime() : null;
        } catch (IllegalArgumentException | IllegalStateException none) {
            return null;
        }
    }

    private LocalDate weekOf(LocalDate day) {
        return day.minusDays(Math.floorMod(day.getDayOfWeek().getValue() - weekStart.getValue(), 7));
    }

    private @Nullable RecurrenceRuleIterator iterator(LocalDate anchor) {
        try {
            return rule.iterator(new DateTime(anchor.getYear(), anchor.getMonthValue() - 1, anchor.getDayOfMonth()));
        } catch (IllegalArgumentException | IllegalStateException e) {
            // lib-recur says so of a rule that can never recur from here
            return null;
        }
    }

    /** The anchor itself recurs only where it fits the rule; the engine may hand it out regardless. */
    private boolean fits(LocalDate date, LocalDate anchor) {
        if (!date.equals(anchor) || rule.getByDayPart() == null) {
            return true;
        }
        Weekday weekday = Weekday.values()[date.getDayOfWeek().getValue() % 7];
        return rule.getByDayPart().stream().anyMatch(day -> day.weekday == weekday);
    }
}
