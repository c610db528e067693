package app.matsuri.core.change.plan;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Hand;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.notice.PutNotice;
import app.matsuri.core.change.notice.RemoveNotice;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.plan.With;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.NoticeDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * Takes work, or a notice, that several courses have out of one of them; the others keep it. Where that is the course it is written
 * in, it passes to the first of the others, on the dates that it has: those are fixed there.
 *
 * @param course code of the course that it is written in
 * @param item id of the work; null for a notice
 * @param notice id of the notice; null for work
 * @param leaves code of the course that no longer has it
 */
public record LeaveShared(
        String course, @Nullable String item, @Nullable String notice, String leaves) implements Change {

    @Override
    public Outcome apply(Decisions before) {
        Find.course(before, leaves);
        return item != null ? leave(before, Find.item(before, course, item)) : leave(before, ofNotice(before));
    }

    private Notice ofNotice(Decisions before) {
        if (notice == null) {
            throw new Refused("Say what leaves the course: name an item or a notice.");
        }
        return Find.notice(before, course, notice);
    }

    private Outcome leave(Decisions before, Item of) {
        ItemDetails details = of.details();
        List<String> others = others(details.shared(), of.title());
        if (!leaves.equals(course)) {
            Item without = of.withDetails(details.shared(others));
            return new PutItem(course, null, without).apply(before);
        }
        Course heir = heir(before, others);
        ItemDates dates = Schedule.of(before).sections(course).stream()
                .map(in -> in.byItem().get(of.id()))
                .filter(Objects::nonNull)
                .findFirst()
                .orElseThrow(() -> new Refused("No section of " + course + " has “" + of.title() + "”."));
        Map<Which, DateRule> fixed = new EnumMap<>(Which.class);
        for (Which which : Which.values()) {
            Resolved date = dates.get(which);
            DateRule rule = of.rule(which);
            if (rule != null) {
                fixed.put(which, date != null && date.resolved() ? DateRule.at(date.moment()) : null);
            }
        }
        Item moved = renamed(of, id(of.id(), id -> heir.item(id).isPresent()))
                .withRules(fixed)
                .withDetails(alone(details, without(others, heir.code())));
        Decisions without = new RemoveItem(course, of.id()).apply(before).decisions();
        return new PutItem(heir.code(), unit(before, heir, dates.main()), moved).apply(without);
    }

    private static ItemDetails alone(ItemDetails of, List<String> shared) {
        return new ItemDetails(
                null,
                of.instructions(),
                of.handIn(),
                of.handInPlace(),
                of.links(),
                of.files(),
                List.of(),
                of.audience(),
                shared,
                of.hidden(),
                of.draft());
    }

    private static Item renamed(Item of, String id) {
        return new Item(
                id,
                null,
                of.kind(),
                of.title(),
                of.shortName(),
                of.points(),
                of.minutes(),
                of.marking(),
                of.locked(),
                of.place(),
                of.opens(),
                of.due(),
                of.closes(),
                of.details(),
                of.extra());
    }

    private Outcome leave(Decisions before, Notice of) {
        if (of.reach() == Notice.Reach.OWN) {
            throw new Refused(
                    "“" + of.title() + "” is for yourself alone: remove it where it is written, in " + course + ".");
        }
        List<String> all = of.reach() == Notice.Reach.EVERYONE
                ? before.courses().stream()
                        .map(Course::code)
                        .filter(c -> !c.equals(course))
                        .toList()
                : of.shared();
        List<String> others = others(all, of.title());
        if (!leaves.equals(course)) {
            return new PutNotice(course, written(of, of.id(), of.unit(), of.when(), of.sections(), of.only(), others))
                    .apply(before);
        }
        Course heir = heir(before, others);
        Notice moved = written(
                of,
                id(of.id(), id -> heir.notice(id).isPresent()),
                null,
                of.when().series() ? of.when() : fixed(before, of),
                Map.of(),
                List.of(),
                without(others, heir.code()));
        Decisions without = new RemoveNotice(course, of.id()).apply(before).decisions();
        return new PutNotice(heir.code(), moved.hiddenUntil(hidden(before, of))).apply(without);
    }

    private static Notice written(
            Notice of,
            String id,
            @Nullable String unit,
            NoticeTime when,
            Map<String, NoticeTime> sections,
            List<String> only,
            List<String> shared) {
        return new Notice(
                id,
                unit,
                of.title(),
                of.text(),
                of.place(),
                of.links(),
                of.files(),
                when,
                sections,
                Notice.Reach.COURSE,
                only,
                shared,
                of.hiddenUntil(),
                of.extra());
    }

    private NoticeDates dates(Decisions before, Notice of) {
        return Schedule.of(before).sections(course).stream()
                .flatMap(in -> in.notice(course, of.id()).stream())
                .findFirst()
                .orElseThrow(() -> new Refused("No section of " + course + " has “" + of.title() + "”."));
    }

    /** When it is, without hanging on anything of the course that it leaves. */
    private NoticeTime fixed(Decisions before, Notice of) {
        NoticeDates.Entry entry = dates(before, of).entries().get(0);
        if (!entry.resolved()) {
            throw new Refused("“" + of.title() + "” has no date: give it one before it passes to another course.");
        }
        boolean ends = of.when().ends() != null;
        return NoticeTime.once(entry.allDay(), DateRule.at(entry.beginning()), ends ? DateRule.at(entry.end()) : null);
    }

    private @Nullable DateRule hidden(Decisions before, Notice of) {
        Resolved until = of.hiddenUntil() == null ? null : dates(before, of).hiddenUntil();
        return until == null || !until.resolved() ? null : DateRule.at(until.moment());
    }

    /** Who else has it, without the one that leaves. */
    private List<String> others(List<String> shared, String title) {
        List<String> others = without(shared, leaves);
        if (!leaves.equals(course) && others.size() == shared.size()) {
            throw new Refused("“" + title + "” is not shared with " + leaves + ". Nothing was changed.");
        }
        if (leaves.equals(course) && others.isEmpty()) {
            throw new Refused("No other course has “" + title + "”: remove it altogether.");
        }
        return others;
    }

    private static List<String> without(List<String> shared, String code) {
        return With.without(shared, s -> codeOf(s).equals(code));
    }

    private static String codeOf(String shared) {
        int slash = shared.lastIndexOf('/');
        return slash < 0 ? shared : shared.substring(0, slash);
    }

    /** The first course that has it, too. */
    private static Course heir(Decisions before, List<String> others) {
        return Find.course(before, codeOf(others.get(0)));
    }

    private static String id(String wanted, Predicate<String> taken) {
        String id = wanted;
        for (int n = 2; taken.test(id); n++) {
            id = wanted + "-" + n;
        }
        return id;
    }

    /** The unit of a course that runs on a day, as its first section has it: the last that has begun. */
    private static String unit(Decisions before, Course of, @Nullable LocalDateTime at) {
        if (of.units().isEmpty()) {
            throw new Refused(
                    of.code() + " has no unit yet that could take it: add one, or remove it for all courses.");
        }
        LocalDate day = at == null ? LocalDate.MIN : at.toLocalDate();
        String found = of.units().get(0).id();
        for (SectionSchedule in :
                Schedule.of(before).sections(of.code()).stream().limit(1).toList()) {
            for (Unit unit : of.units()) {
                boolean begun = unit.lessons().stream()
                        .flatMap(l -> in.start(l.id()).stream())
                        .anyMatch(start -> !start.toLocalDate().isAfter(day));
                found = begun ? unit.id() : found;
            }
        }
        return found;
    }

    @Override
    public String sentence(Decisions before) {
        String title = item != null
                ? Find.item(before, course, item).title()
                : ofNotice(before).title();
        return "Take “" + title + "” out of " + leaves + " alone";
    }

    @Override
    public Set<Hand> hands(Decisions before) {
        return Set.of(
                item != null
                        ? new Hand(course, item)
                        : Find.hand(course, ofNotice(before).id()));
    }
}
