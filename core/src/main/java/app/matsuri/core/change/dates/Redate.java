package app.matsuri.core.change.dates;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Which;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.time.format.TextStyle;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * One change over the dates of many items. Sections with dates of their own keep them apart: the change is made to
 * those as well.
 *
 * @param items ids of items of the course, and of its notices among work; one or more
 * @param sections codes of the sections that are meant; none for the plan, and so for all
 * @param dates the dates that change, of those that each item has; one or more
 */
public record Redate(String course, List<String> items, List<String> sections, Set<Which> dates, How how)
        implements Change {

    /** What is done to each date. */
    public sealed interface How {

        /** What it does, behind "the due date of 3 things". */
        String said();

        /** What the case of this kind answers. */
        <T> T on(Cases<T> cases);

        /** Whether it writes the dates down as they are, so that they are the same in no section but that one. */
        default boolean fixes() {
            return false;
        }

        /** One answer for each. */
        interface Cases<T> {
            T clear(Clear clear);

            T by(By by);

            T at(At at);

            T snap(SnapTo snap);

            T toClass(ToClass to);

            T fix(Fix fix);

            T follow(Follow follow);
        }

        /** The date goes. */
        record Clear() implements How {
            @Override
            public <T> T on(Cases<T> cases) {
                return cases.clear(this);
            }

            @Override
            public String said() {
                return "Take away";
            }
        }

        /**
         * Later, or earlier where n is negative. A rule counts so much further; a date typed by hand moves, and from a
         * day off on to the next day that teaches.
         */
        record By(int n, Offset.Unit unit) implements How {
            @Override
            public <T> T on(Cases<T> cases) {
                return cases.by(this);
            }

            @Override
            public String said() {
                int much = Math.abs(n);
                String one = unit == Offset.Unit.SESSIONS
                        ? "class"
                        : unit.name().toLowerCase(Locale.ROOT).replace('_', ' ').replaceAll("s$", "");
                return "Move " + (n < 0 ? "earlier" : "later") + " by " + much + " "
                        + (much == 1 ? one : one.endsWith("s") ? one + "es" : one + "s") + ":";
            }
        }

        /** Another time of the same day. */
        record At(LocalTime time) implements How {
            @Override
            public <T> T on(Cases<T> cases) {
                return cases.at(this);
            }

            @Override
            public String said() {
                return "Set to " + Say.time(time) + ":";
            }
        }

        /** On to a weekday: on or before it, else on or after. */
        record SnapTo(DayOfWeek weekday, boolean before) implements How {
            @Override
            public <T> T on(Cases<T> cases) {
                return cases.snap(this);
            }

            @Override
            public String said() {
                return "Move to the " + weekday.getDisplayName(TextStyle.FULL, Locale.ENGLISH)
                        + (before ? " on or before" : " on or after") + ":";
            }
        }

        /** To the start of a class: that day's, else the last one before, or the next. It moves with its lesson. */
        record ToClass(boolean before) implements How {
            @Override
            public <T> T on(Cases<T> cases) {
                return cases.toClass(this);
            }

            @Override
            public String said() {
                return "Move to the " + (before ? "last class until" : "next class from");
            }
        }

        /** The date as it is now, typed by hand. */
        record Fix() implements How {
            @Override
            public boolean fixes() {
                return true;
            }

            @Override
            public <T> T on(Cases<T> cases) {
                return cases.fix(this);
            }

            @Override
            public String said() {
                return "Fix";
            }
        }

        /** The date as it is now, by a rule that hangs on a lesson: the item's own, else the last one until then. */
        record Follow() implements How {
            @Override
            public <T> T on(Cases<T> cases) {
                return cases.follow(this);
            }

            @Override
            public String said() {
                return "Let a lesson carry";
            }
        }
    }

    public Redate {
        items = List.copyOf(items);
        sections = List.copyOf(sections);
        dates = Set.copyOf(dates);
        if (items.isEmpty() || dates.isEmpty()) {
            throw new IllegalArgumentException("nothing to redate");
        }
    }

    @Override
    public Outcome apply(Decisions before) {
        return new Redating(this, before).run();
    }

    @Override
    public String sentence(Decisions before) {
        String what = items.size() == 1
                ? "“" + Find.dated(before, course, items.get(0)).title() + "”"
                : items.size() + " things";
        String in = sections.isEmpty() ? "" : " in section " + String.join(" and ", sections);
        return how.said() + " " + PutDates.said(dates) + " of " + what + in;
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        Set<Hand> hands = new LinkedHashSet<>();
        items.forEach(id -> hands.add(Find.hand(before, course, id)));
        return hands;
    }

    /** The rule that a date has after it was set by hand to that of another time of day. */
    static DateRule at(DateRule rule, LocalTime time) {
        return rule.plain()
                ? DateRule.at(rule.typed().toLocalDate().atTime(time)).onDayOff(rule.onDayOff())
                : rule.at(time);
    }
}
