package app.matsuri.core.change.dates;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.change.Change.Outcome;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.ItemRules;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Dated;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.RulesInForce;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.ThingDates;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Works out one {@link Redate}. */
public final class Redating {

    private final Redate redate;
    private final Decisions before;
    private final Map<String, SectionSchedule> views = new java.util.LinkedHashMap<>();
    private final Set<String> notes = new LinkedHashSet<>();
    private final NextRule rules;
    private final Map<String, Item> redated = new HashMap<>();
    private int changed;

    Redating(Redate redate, Decisions before) {
        this.redate = redate;
        this.before = before;
        this.rules = new NextRule(redate, notes);
        Course course = Find.course(before, redate.course());
        redate.sections().forEach(code -> Find.section(before, redate.course(), code));
        Schedule schedule = Schedule.of(before.withCourses(List.of(course)));
        schedule.sections().forEach(s -> views.put(s.section().code(), s));
    }

    Outcome run() {
        Course course = Find.course(before, redate.course());
        Map<String, Item> items = new HashMap<>();
        course.items().forEach(i -> items.put(i.id(), i));
        for (String id : redate.items()) {
            Dated thing = items.containsKey(id) ? items.get(id) : Find.dated(before, redate.course(), id);
            if (series(thing)) {
                notes.add("“" + thing.title() + "” is a series and stays: change it on the Wall, on one of its days.");
                continue;
            }
            if (thing.locked()) {
                notes.add("“" + thing.title() + "” has an official date and stays.");
                continue;
            }
            course = redated(course, thing);
        }
        if (changed == 0) {
            throw new Refused(
                    notes.isEmpty()
                            ? "None of what is chosen has such a date: nothing changes."
                            : String.join(" ", notes));
        }
        return new Outcome(before.withCourse(withItems(course)), List.copyOf(notes));
    }

    /** With all items that differ, in one go: a course may have some hundred. */
    private Course withItems(Course course) {
        return course.withUnits(course.units().stream()
                .map(unit -> unit.withItems(unit.items().stream()
                        .map(i -> redated.getOrDefault(i.id(), i))
                        .toList()))
                .toList());
    }

    /** Whether it is a series in some section: it has no single dates to change. */
    private static boolean series(Dated thing) {
        return thing.on(new Dated.Cases<>() {
            @Override
            public Boolean item(Item item) {
                return false;
            }

            @Override
            public Boolean notice(Notice notice) {
                return notice.someSeries();
            }
        });
    }

    private Course redated(Course in, Dated thing) {
        List<Section> sections = in.sections().stream()
                .filter(s -> thing.concerns(s.code()))
                .filter(s -> redate.sections().isEmpty() || redate.sections().contains(s.code()))
                .toList();
        if (sections.isEmpty()) {
            notes.add("“" + thing.title() + "” is for no section that is chosen.");
            return in;
        }
        if (!redate.sections().isEmpty()) {
            Course now = in;
            for (Section section : sections) {
                now = own(now, thing, section, redate.dates());
            }
            return now;
        }
        SectionSchedule first = Known.in(views, sections.get(0).code());
        Map<Which, Own<DateRule>> plan = new EnumMap<>(Which.class);
        for (Which which : redate.dates()) {
            ThingDates dates = dates(first, thing);
            DateRule rule = planned(dates, which);
            Resolved resolved = dates.get(which);
            if (rule != null && resolved != null) {
                rules.next(rule, resolved, which, thing, first).ifPresent(next -> plan.put(which, next));
            }
        }
        changed += plan.size();
        Course now = plan(in, thing, plan);
        for (Section section : sections) {
            Set<Which> own = ownDates(thing, section);
            Set<Which> owns = new LinkedHashSet<>(redate.dates());
            owns.removeIf(which -> !own.contains(which)
                    && !(redate.how().fixes() && differs(first, Known.in(views, section.code()), thing, which)));
            now = own(now, thing, section, owns);
        }
        return now;
    }

    private static ThingDates dates(SectionSchedule in, Dated thing) {
        return in.dated(thing).orElseThrow();
    }

    private static boolean differs(SectionSchedule a, SectionSchedule b, Dated thing, Which which) {
        Resolved one = dates(a, thing).get(which);
        Resolved other = dates(b, thing).get(which);
        return other != null && other.resolved() && one != null && !other.equals(one);
    }

    /** The rule without what a section has of its own. */
    private static @Nullable DateRule planned(ThingDates dates, Which which) {
        return dates.rules().from(which) == RulesInForce.From.ADJUSTMENT
                ? dates.thing().rule(which)
                : dates.rule(which);
    }

    /** Puts other dates into the plan. */
    private Course plan(Course in, Dated thing, Map<Which, Own<DateRule>> dates) {
        return thing.on(new Dated.Cases<>() {
            @Override
            public Course item(Item item) {
                Map<Which, DateRule> rules = new EnumMap<>(Which.class);
                dates.forEach((which, own) -> rules.put(which, own.over(null)));
                redated.put(item.id(), item.withRules(rules));
                return in;
            }

            @Override
            public Course notice(Notice notice) {
                return in.withNotice(ItemRules.put(notice, List.of(), dates));
            }
        });
    }

    /** The dates of which the section has its own. */
    private static Set<Which> ownDates(Dated thing, Section section) {
        return thing.on(new Dated.Cases<>() {
            @Override
            public Set<Which> item(Item item) {
                return section.adjustment(item.id())
                        .map(Adjustment::dates)
                        .map(Map::keySet)
                        .orElse(Set.of());
            }

            @Override
            public Set<Which> notice(Notice notice) {
                return notice.sections().containsKey(section.code()) ? Set.of(Which.OPENS, Which.CLOSES) : Set.of();
            }
        });
    }

    private Course own(Course in, Dated thing, Section section, Set<Which> dates) {
        SectionSchedule schedule = Known.in(views, section.code());
        ThingDates stand = dates(schedule, thing);
        Map<Which, Own<DateRule>> own = new EnumMap<>(Which.class);
        for (Which which : dates) {
            DateRule rule = stand.rule(which);
            Resolved resolved = stand.get(which);
            if (rule != null && resolved != null) {
                rules.next(rule, resolved, which, thing, schedule).ifPresent(next -> own.put(which, next));
            }
        }
        changed += own.size();
        return own(in, thing, section.code(), own);
    }

    /** Puts other dates into those that the section has of its own. */
    private static Course own(Course in, Dated thing, String section, Map<Which, Own<DateRule>> dates) {
        return thing.on(new Dated.Cases<>() {
            @Override
            public Course item(Item item) {
                if (dates.isEmpty()) {
                    return in;
                }
                Section was = in.section(section).orElseThrow();
                Optional<Adjustment> own = was.adjustment(item.id());
                Map<Which, Own<DateRule>> all = new EnumMap<>(Which.class);
                own.ifPresent(a -> all.putAll(a.dates()));
                all.putAll(dates);
                String why = own.map(Adjustment::why).orElse("");
                return in.withSection(was.adjusted(new Adjustment(item.id(), null, all, why)));
            }

            @Override
            public Course notice(Notice notice) {
                Notice now = in.notice(notice.id()).orElseThrow();
                // also one that stays as it is: where the plan now says the same, it is no time of its own any longer
                return dates.isEmpty() && !now.sections().containsKey(section)
                        ? in
                        : in.withNotice(ItemRules.put(now, List.of(section), dates));
            }
        });
    }
}
