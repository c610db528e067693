package app.matsuri.core.change;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.OwnLesson;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.plan.With;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.NoticeDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDateTime;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Lessons, units and work that go out of a course: nothing that stays names them any more, but for what students were told. A date
 * that hung on them is fixed where it stood.
 */
public final class Gone {

    private final Set<String> lessons;
    private final Set<String> units;
    private final Set<String> items;
    private final Map<String, SectionSchedule> views = new LinkedHashMap<>();
    private final Set<String> fixed = new LinkedHashSet<>();

    /** @param before what stood, with what goes still in it */
    public Gone(Decisions before, String course, Set<String> lessons, Set<String> units, Set<String> items) {
        this.lessons = lessons;
        this.units = units;
        this.items = items;
        Schedule.of(before.withCourses(List.of(Find.course(before, course))))
                .sections()
                .forEach(s -> views.put(s.section().code(), s));
    }

    /** The course, out of which they went already, with nothing that names them; {@code notes} takes what was fixed. */
    public Course from(Course in, List<String> notes) {
        Course out = in;
        for (Unit unit : in.units()) {
            out = unit(out, unit);
        }
        out = out.withSections(out.sections().stream().map(this::section).toList());
        out = out.withBesides(out.besides()
                .withoutRemindersOf(items)
                .withNotices(out.besides().notices().stream().map(this::notice).toList())
                .withRhythms(out.besides().rhythms().stream().map(this::rhythm).toList())
                .withTook(With.without(out.besides().took(), t -> units.contains(t.unit())))
                .withWaits(With.without(
                        out.besides().waits(),
                        w -> lessons.contains(w.id())
                                || items.contains(w.id())
                                || w.id().startsWith("unit:") && units.contains(w.id().substring(5)))));
        if (!fixed.isEmpty()) {
            notes.add((fixed.size() == 1 ? "One thing" : Say.count(fixed.size(), "thing"))
                    + " that hung on it " + (fixed.size() == 1 ? "is" : "are") + " fixed where "
                    + (fixed.size() == 1 ? "it" : "they") + " stood: " + String.join(", ", fixed) + ".");
        }
        return out;
    }

    private boolean hangs(@Nullable DateRule rule) {
        if (rule == null) {
            return false;
        }
        return rule.names(Anchor.Sort.LESSON, lessons::contains)
                || rule.names(Anchor.Sort.UNIT, units::contains)
                || rule.names(Anchor.Sort.ITEM, items::contains);
    }

    private static @Nullable DateRule at(@Nullable LocalDateTime moment) {
        return moment == null ? null : DateRule.at(moment);
    }

    private static @Nullable LocalDateTime moment(@Nullable Resolved date) {
        return date == null ? null : date.at();
    }

    private Course unit(Course in, Unit unit) {
        Map<Which, DateRule> dates = new EnumMap<>(Which.class);
        unit.dates().forEach((which, rule) -> {
            LocalDateTime stood = hangs(rule) ? around(unit, which) : null;
            if (!hangs(rule)) {
                dates.put(which, rule);
            } else if (stood != null) {
                dates.put(which, at(stood));
                fixed.add("“" + unit.title() + "”");
            }
        });
        String yields = unit.yields() != null && lessons.contains(unit.yields()) ? null : unit.yields();
        Course out = in.withUnit(new Unit(
                unit.id(),
                unit.code(),
                unit.title(),
                unit.startsWeek(),
                unit.draft(),
                yields,
                unit.colour(),
                dates,
                unit.links(),
                unit.files(),
                unit.lessons(),
                unit.items(),
                unit.extra()));
        for (Item item : unit.items()) {
            out = item(out, item);
        }
        return out;
    }

    private @Nullable LocalDateTime around(Unit unit, Which which) {
        Item everything = Item.of("unit:" + unit.id(), null, "other", unit.title(), null);
        return views.values().stream()
                .map(v -> moment(v.would(unit, everything).get(which)))
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(null);
    }

    private Course item(Course in, Item item) {
        Item now = item.lesson() != null && lessons.contains(item.lesson()) ? item.withLesson(null) : item;
        Course out = in.withItem(now);
        for (Which which : Which.values()) {
            if (!hangs(item.rule(which))) {
                continue;
            }
            fixed.add("“" + item.title() + "”");
            LocalDateTime plan = null;
            Map<String, LocalDateTime> stood = new LinkedHashMap<>();
            for (Section section : out.sections()) {
                ItemDates dates = Known.in(views, section.code()).byItem().get(item.id());
                boolean own = section.adjustment(item.id())
                        .filter(a -> a.dates().containsKey(which))
                        .isPresent();
                if (dates != null && !own) {
                    stood.put(section.code(), moment(dates.get(which)));
                    plan = plan == null ? moment(dates.get(which)) : plan;
                }
            }
            now = now.withRule(which, at(plan));
            out = out.withItem(now);
            for (Map.Entry<String, LocalDateTime> each : stood.entrySet()) {
                if (!Objects.equals(each.getValue(), plan)) {
                    Section section = out.section(each.getKey()).orElseThrow();
                    Map<Which, Own<DateRule>> dates = new EnumMap<>(Which.class);
                    section.adjustment(item.id()).ifPresent(a -> dates.putAll(a.dates()));
                    dates.put(which, Own.of(at(each.getValue())));
                    String why =
                            section.adjustment(item.id()).map(Adjustment::why).orElse("");
                    out = out.withSection(section.adjusted(new Adjustment(item.id(), null, dates, why)));
                }
            }
        }
        return out;
    }

    /** The section without what it decided about them. */
    private Section section(Section section) {
        Section out = section;
        for (String lesson : lessons) {
            out = forgotten(out, lesson);
        }
        List<Adjustment> kept = With.without(out.adjustments(), a -> items.contains(a.item()));
        return out.withAdjustments(
                kept.stream().map(a -> adjustment(section.code(), a)).toList());
    }

    private static Section forgotten(Section section, String lesson) {
        return section.withOwn(lesson, own -> OwnLesson.NOTHING);
    }

    private Adjustment adjustment(String section, Adjustment own) {
        Map<Which, Own<DateRule>> dates = new EnumMap<>(Which.class);
        own.dates().forEach((which, rule) -> {
            if (hangs(rule.over(null))) {
                dates.put(which, Own.of(at(stood(Known.in(views, section), own, which))));
            } else {
                dates.put(which, rule);
            }
        });
        return new Adjustment(own.item(), own.student(), dates, own.why());
    }

    private static @Nullable LocalDateTime stood(SectionSchedule schedule, Adjustment own, Which which) {
        if (own.student() == null) {
            return schedule.dated(own.item()).map(d -> moment(d.get(which))).orElse(null);
        }
        return schedule.studentDates().stream()
                .filter(d -> own.student().equals(d.student())
                        && d.dates().item().id().equals(own.item()))
                .map(d -> moment(d.dates().get(which)))
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(null);
    }

    private Notice notice(Notice notice) {
        String first =
                views.keySet().stream().filter(notice::concerns).findFirst().orElse(null);
        Notice out = notice.withWhen(time(notice, notice.when(), first));
        for (Map.Entry<String, NoticeTime> own : notice.sections().entrySet()) {
            out = out.withWhen(own.getKey(), time(notice, own.getValue(), own.getKey()));
        }
        if (!hangs(notice.hiddenUntil())) {
            return out;
        }
        fixed.add("“" + notice.title() + "”");
        return out.hiddenUntil(
                at(view(notice, first).map(n -> moment(n.hiddenUntil())).orElse(null)));
    }

    private Optional<NoticeDates> view(Notice notice, @Nullable String section) {
        SectionSchedule schedule = views.get(section);
        return schedule == null
                ? Optional.empty()
                : schedule.notice(schedule.course().code(), notice.id());
    }

    private NoticeTime time(Notice notice, NoticeTime when, @Nullable String section) {
        if (when.series() || !hangs(when.begins()) && !hangs(when.ends())) {
            return when;
        }
        fixed.add("“" + notice.title() + "”");
        NoticeDates.Entry entry = view(notice, section)
                .filter(n -> !n.entries().isEmpty())
                .map(n -> n.entries().get(0))
                .filter(NoticeDates.Entry::resolved)
                .orElse(null);
        SectionSchedule any = views.values().stream().findFirst().orElse(null);
        LocalDateTime fallback =
                any == null ? null : any.calendar().term().first().atStartOfDay();
        DateRule begins = hangs(when.begins()) ? at(entry == null ? fallback : entry.begins()) : when.begins();
        DateRule ends = hangs(when.ends()) ? at(entry == null ? null : entry.ends()) : when.ends();
        return begins == null ? when : NoticeTime.once(when.allDay(), begins, ends);
    }

    private Rhythm rhythm(Rhythm rhythm) {
        return rhythm.withParts(rhythm.parts().stream()
                .map(part -> {
                    Item item = part.item();
                    for (Which which : Which.values()) {
                        item = hangs(item.rule(which)) ? item.withRule(which, null) : item;
                    }
                    return new Rhythm.Part(part.id(), item, part.remind());
                })
                .toList());
    }

    /** Ids of a unit's lessons. */
    public static Set<String> lessons(Unit unit) {
        return Set.copyOf(unit.lessons().stream().map(Lesson::id).toList());
    }

    /** Ids of a unit's work. */
    public static Set<String> items(Unit unit) {
        return Set.copyOf(unit.items().stream().map(Item::id).toList());
    }
}
