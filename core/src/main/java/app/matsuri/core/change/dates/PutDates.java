package app.matsuri.core.change.dates;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.ItemRules;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Dated;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.RulesInForce;
import app.matsuri.core.schedule.SectionSchedule;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Gives items the dates that were typed, each its own. An item with an official date stays and is named.
 *
 * @param entries one or more
 */
public record PutDates(List<Entry> entries) implements Change {

    /**
     * Other dates of one thing.
     *
     * @param sections codes of the sections that are meant; none for the plan, and so for all
     * @param dates the dates that change
     */
    public record Entry(String course, String item, List<String> sections, Map<Which, Own<DateRule>> dates) {

        public Entry {
            sections = List.copyOf(sections);
            Map<Which, Own<DateRule>> copy = new EnumMap<>(Which.class);
            copy.putAll(dates);
            dates = Collections.unmodifiableMap(copy);
        }
    }

    public PutDates {
        entries = List.copyOf(entries);
        if (entries.isEmpty()) {
            throw new IllegalArgumentException("no dates to change");
        }
    }

    /** A mend of one date where its rule stands: in the section's own dates, else in the plan. */
    public static PutDates mend(SectionSchedule in, ItemDates dates, Which which, DateRule rule) {
        boolean own = dates.rules().from(which) == RulesInForce.From.ADJUSTMENT;
        return new PutDates(List.of(new Entry(
                in.course().code(),
                dates.item().id(),
                own ? List.of(in.section().code()) : List.of(),
                Map.of(which, Own.other(rule)))));
    }

    @Override
    public Outcome apply(Decisions before) {
        Decisions now = before;
        List<String> notes = new ArrayList<>();
        Set<String> stay = new LinkedHashSet<>();
        int done = 0;
        for (Entry entry : entries) {
            Course course = Find.course(now, entry.course());
            entry.sections().forEach(code -> Find.section(before, entry.course(), code));
            Dated thing = Find.dated(now, entry.course(), entry.item());
            if (thing.locked()) {
                stay.add("“" + thing.title() + "” has an official date and stays.");
                continue;
            }
            now = now.withCourse(dated(course, thing, entry));
            done++;
        }
        if (done == 0) {
            throw new Refused(String.join(" ", stay) + " Unlock it first if that is wrong.");
        }
        notes.addAll(stay);
        return new Outcome(now, notes);
    }

    private static Course dated(Course course, Dated thing, Entry entry) {
        return thing.on(new Dated.Cases<>() {
            @Override
            public Course item(Item item) {
                return ItemRules.put(course, item, entry.sections(), entry.dates());
            }

            @Override
            public Course notice(Notice notice) {
                return course.withNotice(ItemRules.put(notice, entry.sections(), entry.dates()));
            }
        });
    }

    @Override
    public String sentence(Decisions before) {
        Set<ThingRef> things = new LinkedHashSet<>();
        Set<Which> dates = new LinkedHashSet<>();
        for (Entry entry : entries) {
            things.add(new ThingRef(entry.course(), entry.item()));
            dates.addAll(entry.dates().keySet());
        }
        Entry first = entries.get(0);
        String title = "“" + Find.dated(before, first.course(), first.item()).title() + "”";
        String what = things.size() == 1 ? title : things.size() + " things";
        String in = things.size() == 1 && first.sections().size() == 1
                ? " in section " + first.sections().get(0)
                : "";
        return "Change " + said(dates) + " of " + what + in;
    }

    /** "the due date", "the opening and closing dates", "the dates". */
    static String said(Set<Which> dates) {
        if (dates.size() != 1) {
            return "the dates";
        }
        return "the "
                + switch (dates.iterator().next()) {
                    case OPENS -> "opening";
                    case DUE -> "due";
                    case CLOSES -> "closing";
                }
                + " date";
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        Set<Hand> hands = new LinkedHashSet<>();
        for (Entry entry : entries) {
            hands.add(Find.hand(before, entry.course(), entry.item()));
        }
        return hands;
    }
}
