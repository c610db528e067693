package app.matsuri.core.plan;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Known;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A unit of another course, as it goes into a course whole: lessons, work, and the notices that hang on them, under ids
 * that are free there. Dates that hang on something of the unit, on its weeks or on each other come along. Dates typed
 * by hand, pins and notes of that time stay behind, and so do dates that hang on what does not come.
 *
 * @param notices of the unit, those whose dates come along
 * @param undated titles of work that had a date which stays behind
 */
public record UnitCopy(Unit unit, List<Notice> notices, List<String> undated) {

    /** The copy of a unit of one course for another. */
    public static UnitCopy of(Course from, Unit unit, Course to) {
        return new Copying(from, unit, to).copy();
    }

    /** One copy while it is made. */
    private static final class Copying {

        private final Course from;
        private final Unit unit;
        private final Course to;
        private final Map<String, String> lessons = new HashMap<>();
        private final Map<String, String> items = new HashMap<>();
        private final List<String> undated = new ArrayList<>();
        private String id = "";

        Copying(Course from, Unit unit, Course to) {
            this.from = from;
            this.unit = unit;
            this.to = to;
        }

        UnitCopy copy() {
            Set<String> units = new HashSet<>();
            to.units().forEach(u -> {
                units.add(u.id());
                units.add(u.code());
            });
            id = free(unit.id(), units);
            Set<String> lessonIds = new HashSet<>();
            to.lessons().forEach(l -> lessonIds.add(l.id()));
            unit.lessons().forEach(l -> lessons.put(l.id(), free(l.id(), lessonIds)));
            Set<String> itemIds = new HashSet<>();
            to.items().forEach(i -> itemIds.add(i.id()));
            unit.items().forEach(i -> items.put(i.id(), free(i.id(), itemIds)));
            Map<Which, DateRule> dates = new EnumMap<>(Which.class);
            unit.dates().forEach((which, rule) -> rule(rule).ifPresent(r -> dates.put(which, r)));
            Unit copy = new Unit(
                    id,
                    free(unit.code(), units),
                    unit.title(),
                    unit.startsWeek(),
                    unit.draft(),
                    unit.yields() == null ? null : lessons.get(unit.yields()),
                    unit.colour(),
                    dates,
                    unit.links(),
                    files(unit.files()),
                    unit.lessons().stream().map(this::lesson).toList(),
                    unit.items().stream().map(this::item).toList(),
                    Extra.NONE);
            return new UnitCopy(copy, notices(), undated);
        }

        private static String free(String wish, Set<String> taken) {
            String found = wish;
            for (int n = 2; !taken.add(found); n++) {
                found = wish + "-" + n;
            }
            return found;
        }

        private Lesson lesson(Lesson was) {
            return new Lesson(
                    Known.in(lessons, was.id()),
                    was.title(),
                    was.length(),
                    was.minLength(),
                    was.optional(),
                    was.joinable(),
                    was.reserve(),
                    null,
                    was.gapBefore(),
                    "",
                    was.details(),
                    Extra.NONE);
        }

        private Item item(Item was) {
            Map<Which, DateRule> rules = new EnumMap<>(Which.class);
            boolean lost = false;
            for (Which which : Which.values()) {
                Optional<DateRule> rule = Optional.ofNullable(was.rule(which)).flatMap(this::rule);
                rules.put(which, rule.orElse(null));
                lost |= was.rule(which) != null && rule.isEmpty();
            }
            // what hung on a date that stays behind has nothing to hang on
            for (Which which : Which.values()) {
                DateRule rule = rules.get(which);
                boolean hung = rule != null
                        && rule.anchor()
                                .own()
                                .filter(own -> rules.get(own) == null && was.rule(own) != null)
                                .isPresent();
                if (hung) {
                    rules.put(which, null);
                }
            }
            if (lost) {
                undated.add(was.title());
            }
            ItemDetails d = was.details();
            return new Item(
                            Known.in(items, was.id()),
                            was.lesson() == null ? null : lessons.get(was.lesson()),
                            was.kind(),
                            was.title(),
                            was.shortName(),
                            was.points(),
                            was.minutes(),
                            was.marking(),
                            was.locked() && !lost,
                            was.place(),
                            null,
                            null,
                            null,
                            new ItemDetails(
                                    d.within() == null ? null : items.get(d.within()),
                                    d.instructions(),
                                    d.handIn(),
                                    d.handInPlace(),
                                    d.links(),
                                    files(d.files()),
                                    d.only().stream()
                                            .filter(s -> to.section(s).isPresent())
                                            .toList(),
                                    d.audience(),
                                    List.of(),
                                    d.hidden(),
                                    d.draft()),
                            Extra.NONE)
                    .withRules(rules);
        }

        /** What is attached, in its new place: with its unit or the class of a lesson that comes along; no date does. */
        private List<FileUse> files(List<FileUse> files) {
            return files.stream()
                    .map(f -> new FileUse(
                            f.file(),
                            f.name(),
                            f.publish(),
                            null,
                            f.with() == null || f.with().equals(FileUse.UNIT) ? f.with() : lessons.get(f.with())))
                    .toList();
        }

        /** The rule in its new place; none where what it hangs on does not come. */
        private Optional<DateRule> rule(DateRule rule) {
            Anchor anchor = rule.anchor();
            return anchor.named()
                    .map(named ->
                            Optional.ofNullable(copied(named)).map(copy -> rule.from(anchor.named(copy), rule.plus())))
                    .orElseGet(() -> rule.fixed() ? Optional.empty() : Optional.of(rule));
        }

        /** The id of the copy of what an anchor names; null where that does not come along. */
        private @Nullable String copied(Anchor.Named named) {
            return switch (named.sort()) {
                case LESSON -> lessons.get(named.id());
                case UNIT -> named.id().equals(unit.id()) ? id : null;
                case ITEM -> items.get(named.id());
                case RHYTHM -> null;
            };
        }

        private List<Notice> notices() {
            Set<String> taken = new HashSet<>();
            to.besides().notices().forEach(n -> taken.add(n.id()));
            List<Notice> copies = new ArrayList<>();
            for (Notice was : from.besides().notices()) {
                NoticeTime when = was.when();
                boolean hangs = unit.id().equals(was.unit()) && !when.series();
                Optional<DateRule> begins =
                        hangs ? Optional.ofNullable(when.begins()).flatMap(this::rule) : Optional.empty();
                Optional<DateRule> ends = Optional.ofNullable(when.ends()).flatMap(this::rule);
                if (begins.isPresent() && (when.ends() == null || ends.isPresent())) {
                    copies.add(new Notice(
                            free(was.id(), taken),
                            id,
                            was.title(),
                            was.text(),
                            was.place(),
                            was.links(),
                            files(was.files()),
                            NoticeTime.once(when.allDay(), begins.get(), ends.orElse(null)),
                            Map.of(),
                            was.reach(),
                            List.of(),
                            List.of(),
                            null,
                            Extra.NONE));
                }
            }
            return copies;
        }
    }
}
