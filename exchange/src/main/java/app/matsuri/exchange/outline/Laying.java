package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import app.matsuri.exchange.sheet.Entry;
import app.matsuri.exchange.sheet.Sheet;
import app.matsuri.exchange.sheet.SheetTerm;
import app.matsuri.exchange.sheet.When;
import app.matsuri.exchange.sheet.Work;
import app.matsuri.exchange.words.PlanNames;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Lays what a sheet says into a course: lessons on their classes, dates as rules where a rule gives them, and what differs. */
final class Laying {

    private final Into into;
    private final Sheet.Reading sheet;
    private final SheetTerm term;
    private final OutlineDraft draft;
    private final Course course;

    private final Map<Entry.Taught, String> lessonIds = new IdentityHashMap<>();
    private final Map<Entry.Given, String> itemIds = new IdentityHashMap<>();
    private final Map<Entry, String> said = new IdentityHashMap<>();
    private final Map<String, Entry.Given> givenByItem = new LinkedHashMap<>();
    /** What the course has and the sheet says once more. */
    private final Map<Entry.Given, Item> again = new IdentityHashMap<>();

    private final Map<String, Map<Which, Tried>> tried = new HashMap<>();
    /** Lessons that may be on the sheet's date instead of the plan's. */
    private final Set<Entry> differing = Collections.newSetFromMap(new IdentityHashMap<>());

    private String unitTitle = "";
    private final Map<Entry, String> units = new IdentityHashMap<>();

    private Laying(Into into, Sheet.Reading sheet) {
        this.into = into;
        this.sheet = sheet;
        this.term = into.term();
        this.draft = new OutlineDraft(into.course());
        Course given = into.course();
        this.course = given == null ? Course.of("C", "C", 50, List.of(), List.of()) : given;
    }

    /** A date while rules for it are tried. */
    private static final class Tried {
        final SheetDates.Wanted wanted;
        int at;

        Tried(SheetDates.Wanted wanted) {
            this.wanted = wanted;
        }

        @Nullable
        DateRule rule() {
            return at < wanted.rules().size() ? wanted.rules().get(at) : null;
        }
    }

    /**
     * What it comes to.
     *
     * @param units new ones, and those of the course that get something, whole
     * @param schedule of the section with them; null where there is no term
     * @param differing lessons that may be on the sheet's date instead of the plan's
     * @param labs those that are lessons of the half-groups' course; null for none
     */
    record Laid(
            List<OneUnit> units,
            List<Entry> entries,
            Map<Entry, String> said,
            Map<Entry.Taught, String> lessons,
            Map<Entry.Given, String> items,
            Map<Entry, String> unitTitles,
            @Nullable SectionSchedule schedule,
            HalfGroups.@Nullable Labs labs,
            Set<Entry> differing) {}

    static Laid lay(Into into, Sheet.Reading sheet) {
        return new Laying(into, sheet).lay();
    }

    private Laid lay() {
        HalfGroups.Labs labs = HalfGroups.of(into, sheet, said).orElse(null);
        for (Entry entry : sheet.entries()) {
            units.put(entry, unitTitle);
            if (entry instanceof Entry.UnitBegins unit) {
                begin(unit);
            } else if (entry instanceof Entry.Taught lesson) {
                lesson(lesson);
            } else if (entry instanceof Entry.Given work
                    && (labs == null || !labs.lessons().containsKey(work))) {
                work(work);
            } else if (entry instanceof Entry.Nothing nothing) {
                said.put(entry, nothing.why());
            }
        }
        gaps();
        SectionSchedule placed = into.schedule(with()).orElse(null);
        rules(placed);
        SectionSchedule dated = resolved(placed);
        sayDates(dated);
        if (dated != null) {
            differing.addAll(LayingDoubts.compared(sheet, lessonIds, dated));
        }
        Set<String> undated = new HashSet<>();
        tried.forEach((id, dates) -> {
            if (dates.isEmpty()) {
                undated.add(id);
            }
        });
        List<Entry> all = LayingDoubts.ofTheWhole(givenByItem, undated, dated);
        all.addAll(sheet.entries());
        return new Laid(
                draft.units().stream().filter(OneUnit::gives).toList(),
                all,
                said,
                lessonIds,
                itemIds,
                units,
                dated,
                labs,
                differing);
    }

    /** The course with what was read so far. */
    private Course with() {
        return draft.with(course);
    }

    private void begin(Entry.UnitBegins unit) {
        unitTitle = unit.title();
        units.put(unit, unitTitle);
        if (draft.empty() || !draft.last().is(unitTitle)) {
            said.put(unit, "unit " + draft.unit(unitTitle));
        }
    }

    /** Where no unit was named, one that is called as the course is. */
    private String unless() {
        return draft.empty()
                ? "unit "
                        + draft.unit(
                                into.course() == null ? "Unit 1" : into.course().title()) + ", "
                : "";
    }

    private void lesson(Entry.Taught taught) {
        String before = unless();
        OneUnit unit = draft.last();
        Lesson at = unit.at;
        if (taught.same() && at != null) {
            lessonIds.put(taught, at.id());
            said.put(taught, before + at.id() + " again");
            return;
        }
        String added = draft.lesson(taught.title(), taught.sessions());
        Lesson now = Objects.requireNonNull(unit.at);
        if (!taught.objectives().isBlank() && now.details().objectives().isEmpty()) {
            LessonDetails was = now.details();
            draft.replace(
                    now.withDetails(new LessonDetails(taught.objectives(), was.steps(), was.links(), was.files())));
        }
        lessonIds.put(taught, now.id());
        said.put(taught, before + added);
    }

    private void work(Entry.Given given) {
        String before = unless();
        String lesson = given.lesson() == null ? null : lessonIds.get(given.lesson());
        OneUnit unit = lesson == null ? draft.last() : draft.of(lesson);
        Work work = given.work();
        Optional<Item> there = unit.was == null
                ? Optional.empty()
                : unit.was.items().stream()
                        .filter(i -> i.title().equalsIgnoreCase(work.title()) && Objects.equals(i.lesson(), lesson))
                        .findFirst();
        if (there.isPresent()) {
            itemIds.put(given, there.get().id());
            said.put(given, before + work.title() + " is there already");
            again.put(given, there.get());
            return;
        }
        Item item = new Item(
                draft.newId(unit),
                lesson,
                work.kind(),
                work.title(),
                "",
                work.points(),
                work.minutes(),
                work.marking(),
                false,
                0,
                null,
                null,
                null,
                details(work),
                Extra.NONE);
        unit.items.add(item);
        itemIds.put(given, item.id());
        givenByItem.put(item.id(), given);
        said.put(given, before);
    }

    static List<Link> links(Work work) {
        return work.links().stream().map(url -> new Link("", url)).toList();
    }

    private static ItemDetails details(Work work) {
        BigDecimal percent = work.percent();
        ItemDetails none = ItemDetails.NONE;
        String share = percent == null ? "" : "Counts " + percent.toPlainString() + " % of the grade.";
        return new ItemDetails(
                none.within(),
                share,
                none.handIn(),
                none.handInPlace(),
                links(work),
                none.files(),
                none.only(),
                none.audience(),
                none.shared(),
                none.hidden(),
                none.draft());
    }

    /** Leaves classes empty before lessons that the sheet has later than they would come. */
    private void gaps() {
        List<Session> open = into.left();
        if (open.isEmpty() || sheet.old()) {
            return;
        }
        int at = 0;
        for (Entry entry : sheet.entries()) {
            if (!(entry instanceof Entry.Taught taught) || taught.same()) {
                continue;
            }
            Lesson lesson = draft.lesson(Objects.requireNonNull(lessonIds.get(taught)));
            if (course.lesson(lesson.id()).isPresent()) {
                continue;
            }
            int wanted = wanted(taught, open, at);
            LocalDate day = taught.day();
            if (day != null && into.onSheetsDate(taught.row())) {
                draft.replace(lesson.withPin(day));
                at = wanted(taught, open, 0);
            } else if (wanted > at) {
                draft.replace(lesson.withGap(wanted - at));
                at = wanted;
            }
            at += lesson.length();
        }
    }

    /** The class, from the next one on, at which a lesson should begin; the next one where nothing says otherwise. */
    private int wanted(Entry.Taught taught, List<Session> open, int at) {
        LocalDate day = taught.day();
        for (int i = at; i < open.size(); i++) {
            LocalDate date = open.get(i).date();
            if (day != null && date.equals(day)) {
                return i;
            }
            if (day == null
                    && taught.opensWeek()
                    && taught.week() > 0
                    && taught.week() <= term.weeks().size()) {
                LocalDate first = term.weeks().get(taught.week() - 1);
                if (!date.isBefore(first)) {
                    return date.isBefore(first.plusDays(7)) ? i : at;
                }
            }
        }
        return at;
    }

    private void rules(@Nullable SectionSchedule placed) {
        SheetDates dates = new SheetDates(into.days(), PlanNames.of(with()), placed);
        givenByItem.forEach((id, given) -> {
            Map<Which, Tried> of = new EnumMap<>(Which.class);
            Work work = given.work();
            want(dates, given, Which.OPENS, work.opens(), of);
            want(dates, given, Which.DUE, work.due(), of);
            want(dates, given, Which.CLOSES, work.closes(), of);
            tried.put(id, of);
        });
        if (placed != null) {
            again.forEach((given, item) -> differing(dates, placed, given, item));
        }
        put();
    }

    /** Of work that the course has only dates are taken that the sheet has otherwise. */
    private void differing(SheetDates dates, SectionSchedule placed, Entry.Given given, Item item) {
        Map<Which, Tried> of = new EnumMap<>(Which.class);
        Work work = given.work();
        want(dates, given, Which.OPENS, work.opens(), of);
        want(dates, given, Which.DUE, work.due(), of);
        want(dates, given, Which.CLOSES, work.closes(), of);
        List<String> differ = new ArrayList<>();
        ItemDates stand = placed.byItem().get(item.id());
        of.entrySet().removeIf(date -> {
            LocalDateTime target = date.getValue().wanted.target();
            Resolved came = stand == null ? null : stand.get(date.getKey());
            LocalDateTime at = came == null ? null : came.at();
            if (target == null || stand == null || same(date.getValue().wanted, target, at)) {
                return true;
            }
            differ.add(date.getKey().name().toLowerCase(Locale.ROOT) + " " + Say.day(target.toLocalDate())
                    + " instead of " + (at == null ? "no date" : Say.day(at.toLocalDate())));
            return false;
        });
        if (of.isEmpty() || item.locked()) {
            return;
        }
        tried.put(item.id(), of);
        said.put(given, said.get(given) + ", " + String.join(", ", differ));
        draft.units().stream()
                .filter(u -> u.items.stream().anyMatch(i -> i.id().equals(item.id())))
                .forEach(u -> u.redated++);
    }

    private static boolean same(SheetDates.Wanted wanted, LocalDateTime target, @Nullable LocalDateTime at) {
        return at != null
                && (wanted.timed() ? at.equals(target) : at.toLocalDate().equals(target.toLocalDate()));
    }

    private void want(SheetDates dates, Entry.Given given, Which which, @Nullable When when, Map<Which, Tried> of) {
        if (when == null) {
            return;
        }
        String id = given.lesson() == null ? null : lessonIds.get(given.lesson());
        SheetDates.Wanted wanted =
                dates.wanted(when, which, id == null ? null : draft.lesson(id), given.day(), given.week());
        if (!wanted.doubt().isEmpty()) {
            given.doubts().add(wanted.doubt());
        }
        of.put(which, new Tried(wanted));
    }

    /** Puts the rules that are tried into the items. */
    private void put() {
        for (OneUnit unit : draft.units()) {
            unit.items.replaceAll(item -> {
                Map<Which, Tried> of = tried.get(item.id());
                if (of == null) {
                    return item;
                }
                Map<Which, DateRule> rules = new EnumMap<>(Which.class);
                of.forEach((which, one) -> rules.put(which, one.rule()));
                return item.withRules(rules);
            });
        }
    }

    /** Goes on to the next rule wherever one does not give the date of the sheet; the last of them is the date itself. */
    private @Nullable SectionSchedule resolved(@Nullable SectionSchedule placed) {
        SectionSchedule now = into.schedule(with()).orElse(null);
        for (int round = 0; now != null && round < 8; round++) {
            boolean again = false;
            for (Map.Entry<String, Map<Which, Tried>> item : tried.entrySet()) {
                ItemDates dates = now.byItem().get(item.getKey());
                for (Map.Entry<Which, Tried> date : item.getValue().entrySet()) {
                    Tried one = date.getValue();
                    LocalDateTime target = one.wanted.target();
                    Resolved came = dates == null ? null : dates.get(date.getKey());
                    boolean right = target == null || came != null && target.equals(came.at());
                    if (!right && one.at + 1 < one.wanted.rules().size()) {
                        one.at++;
                        again = true;
                    }
                }
            }
            if (!again) {
                break;
            }
            put();
            now = into.schedule(with()).orElse(null);
        }
        return now;
    }

    private void sayDates(@Nullable SectionSchedule dated) {
        givenByItem.forEach((id, given) -> {
            String lesson = given.lesson() == null ? null : lessonIds.get(given.lesson());
            List<String> dates = new ArrayList<>();
            Map<Which, Tried> of = tried.getOrDefault(id, Map.of());
            for (Which which : Which.values()) {
                Tried one = of.get(which);
                DateRule rule = one == null ? null : one.rule();
                if (rule != null) {
                    dates.add(which.name().toLowerCase(Locale.ROOT) + " " + RuleSaid.beside(rule, lesson));
                }
            }
            Work work = given.work();
            said.put(
                    given,
                    said.get(given) + work.title() + ", "
                            + (dates.isEmpty() ? "no date yet" : String.join(", ", dates)));
        });
    }
}
