package app.matsuri.core.plan;

import app.matsuri.core.calendar.Extra;
import java.time.DayOfWeek;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Objects;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * How one of an item's dates follows: an anchor, then in this order an offset, a weekday to snap to, a time of day and
 * what happens on a day off.
 *
 * @param snapTo weekday to go to; null for none
 * @param snapBefore on or before that weekday; else on or after
 * @param time replaces the time of day; null to keep it
 * @param onDayOff null for the default: an opening or a fixed date stays, others go to the next teaching day
 */
public record DateRule(
        Anchor anchor,
        Offset plus,
        @Nullable DayOfWeek snapTo,
        boolean snapBefore,
        @Nullable LocalTime time,
        @Nullable OnDayOff onDayOff,
        Extra extra) {

    /** What happens to a date on which nothing may be due. */
    public enum OnDayOff {
        STAY,
        NEXT,
        PREVIOUS
    }

    public DateRule {
        Objects.requireNonNull(anchor, "anchor");
        Objects.requireNonNull(plus, "plus");
        Objects.requireNonNull(extra, "extra");
    }

    /** Just the anchor. */
    public static DateRule of(Anchor anchor) {
        return new DateRule(anchor, Offset.NONE, null, false, null, null, Extra.NONE);
    }

    /** A local date and time. */
    public static DateRule at(LocalDateTime at) {
        return of(new Anchor.Fixed(at));
    }

    public DateRule plus(int n, Offset.Unit unit) {
        return new DateRule(anchor, new Offset(n, unit), snapTo, snapBefore, time, onDayOff, extra);
    }

    public DateRule at(LocalTime other) {
        return new DateRule(anchor, plus, snapTo, snapBefore, other, onDayOff, extra);
    }

    /** The same from another anchor and so far from it. */
    public DateRule from(Anchor other, Offset offset) {
        return new DateRule(other, offset, snapTo, snapBefore, time, onDayOff, extra);
    }

    /** The same going on to a weekday: on or before it, else on or after. */
    public DateRule snapped(DayOfWeek weekday, boolean before) {
        return new DateRule(anchor, plus, weekday, before, time, onDayOff, extra);
    }

    /** The same with something else happening on a day off. */
    public DateRule onDayOff(@Nullable OnDayOff other) {
        return new DateRule(anchor, plus, snapTo, snapBefore, time, other, extra);
    }

    /** Whether it is a date typed by hand to which nothing is added. */
    public boolean plain() {
        return fixed() && plus.n() == 0 && snapTo == null && time == null;
    }

    /** Whether it begins with a date typed by hand, whatever is added. */
    public boolean fixed() {
        return anchor.typed().isPresent();
    }

    /**
     * The moment typed by hand from which it begins.
     *
     * @throws java.util.NoSuchElementException where it is not {@link #fixed()}
     */
    public LocalDateTime typed() {
        return anchor.typed().orElseThrow();
    }

    /** Whether it hangs on that lesson, unit, item or rhythm. */
    public boolean names(Anchor.Sort sort, Predicate<String> id) {
        return anchor.named(sort).filter(id).isPresent();
    }

    /** What happens on a day off to the given date of an item under this rule. */
    public OnDayOff onDayOff(Which which) {
        if (onDayOff != null) {
            return onDayOff;
        }
        return fixed() || which == Which.OPENS ? OnDayOff.STAY : OnDayOff.NEXT;
    }
}
