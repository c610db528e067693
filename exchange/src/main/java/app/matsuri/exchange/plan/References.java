package app.matsuri.exchange.plan;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.DayNote;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.plan.OwnLesson;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.WeekNote;
import app.matsuri.core.plan.Which;
import app.matsuri.core.session.Recurrence;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Checks that what decisions name exists and that no name stands for two things. */
final class References {

    private final Decisions decisions;
    private final Faults faults;

    private References(Decisions decisions, Faults faults) {
        this.decisions = decisions;
        this.faults = faults;
    }

    static void check(Decisions decisions, Faults faults) {
        new References(decisions, faults).run();
    }

    private void run() {
        Set<String> scopes = new HashSet<>();
        Set<String> codes = new HashSet<>();
        for (int c = 0; c < decisions.courses().size(); c++) {
            Course course = decisions.courses().get(c);
            String at = "/courses/" + c;
            once(codes, course.code(), at + "/code", "course");
            scopes.add(course.code());
            course.sections().forEach(s -> scopes.add(new SectionRef(course.code(), s.code()).toString()));
            course(course, at);
        }
        Set<String> hours = new HashSet<>();
        for (int i = 0; i < decisions.officeHours().size(); i++) {
            OfficeHours one = decisions.officeHours().get(i);
            once(hours, one.id(), "/officeHours/" + i + "/id", "office hours");
            for (int k = 0; k < one.courses().size(); k++) {
                if (!codes.contains(one.courses().get(k))) {
                    faults.kept(
                            "/officeHours/" + i + "/courses/" + k,
                            "There is no course “" + one.courses().get(k) + "”; nobody of it sees these office hours.");
                }
            }
        }
        List<Closure> closures = decisions.term().closures();
        for (int i = 0; i < closures.size(); i++) {
            List<String> only = closures.get(i).only();
            for (int k = 0; only != null && k < only.size(); k++) {
                if (!scopes.contains(only.get(k))) {
                    faults.kept(
                            "/term/closures/" + i + "/only/" + k,
                            "“" + only.get(k) + "” is no course or section of this file: it concerns nobody.");
                }
            }
        }
    }

    private void course(Course course, String at) {
        Set<String> sections = new HashSet<>();
        Set<String> units = new HashSet<>();
        Set<String> lessons = new HashSet<>();
        Set<String> items = new HashSet<>();
        for (int u = 0; u < course.units().size(); u++) {
            Unit unit = course.units().get(u);
            String place = at + "/units/" + u;
            once(units, unit.id(), place + "/id", "unit");
            for (int l = 0; l < unit.lessons().size(); l++) {
                once(lessons, unit.lessons().get(l).id(), place + "/lessons/" + l + "/id", "lesson");
            }
            for (int i = 0; i < unit.items().size(); i++) {
                once(items, unit.items().get(i).id(), place + "/items/" + i + "/id", "item");
            }
        }
        for (int u = 0; u < course.units().size(); u++) {
            Unit unit = course.units().get(u);
            String place = at + "/units/" + u;
            if (unit.yields() != null && unit.lessons().stream().map(Lesson::id).noneMatch(unit.yields()::equals)) {
                faults.kept(place + "/yields", "“" + unit.yields() + "” is no lesson of this unit: nothing yields.");
            }
            unit.dates().forEach((which, rule) -> rule(rule, place + "/" + Words.word(which), lessons, units));
            Map<String, Item> here = new HashMap<>();
            unit.items().forEach(item -> here.putIfAbsent(item.id(), item));
            for (int i = 0; i < unit.items().size(); i++) {
                String within = unit.items().get(i).details().within();
                depth(unit.items().get(i), here, place + "/items/" + i + "/within");
                if (within != null && !here.containsKey(within)) {
                    faults.kept(
                            place + "/items/" + i + "/within",
                            "There is no item “" + within + "” in this unit: it lies in the unit itself.");
                }
                item(unit.items().get(i), place + "/items/" + i, lessons, units);
            }
        }
        for (int s = 0; s < course.sections().size(); s++) {
            Section section = course.sections().get(s);
            String place = at + "/sections/" + s;
            once(sections, section.code(), place + "/code", "section");
            for (int a = 0; a < section.adjustments().size(); a++) {
                Adjustment adjustment = section.adjustments().get(a);
                String here = place + "/adjustments/" + a;
                if (!items.contains(adjustment.item())) {
                    faults.kept(
                            here + "/item",
                            "There is no item “" + adjustment.item() + "” in this course: it is passed over.");
                }
                adjustment
                        .dates()
                        .forEach(
                                (which, rule) -> rule(rule.over(null), here + "/" + Words.word(which), lessons, units));
            }
            known(section.lessonsWhere(OwnLesson::leftOut), lessons, place + "/leavesOut");
            known(section.ofLessons(OwnLesson::gap).keySet(), lessons, place + "/gaps");
            known(section.ofLessons(OwnLesson::length).keySet(), lessons, place + "/lengths");
            known(section.lessonsWhere(own -> !own.pin().planned()), lessons, place + "/pins");
            known(section.lessonsWhere(OwnLesson::joined), lessons, place + "/joined");
            known(section.lessonsWhere(OwnLesson::midWeek), lessons, place + "/midWeek");
            known(section.lessonsWhere(OwnLesson::partly), lessons, place + "/partly");
            section.taught().values().forEach(ids -> known(ids, lessons, place + "/taught"));
            for (int m = 0; m < section.meets().size(); m++) {
                recurrence(section.meets().get(m).rule(), place + "/meets/" + m + "/rule", "class");
            }
        }
        besides(course, at, lessons, units, items);
    }

    /** Things lie in each other so deep and no deeper: whoever asks for what is around one follows them all. */
    private void depth(Item item, Map<String, Item> here, String at) {
        int depth = 0;
        Item outer = item;
        while (outer != null && outer.details().within() != null && depth <= Unit.MOST_DEPTH) {
            outer = here.get(outer.details().within());
            depth++;
        }
        if (depth > Unit.MOST_DEPTH) {
            faults.fatal(
                    at,
                    "“" + item.id() + "” lies in more than " + Unit.MOST_DEPTH
                            + " things, or in itself: put it into one that lies less deep.");
        }
    }

    /** Dates of one thing that hang on each other in a circle: none of them can be worked out. */
    private void circle(Item item, String at) {
        for (Which which : Which.values()) {
            Which next = which;
            for (int i = 0; i < Which.values().length && next != null; i++) {
                DateRule rule = item.rule(next);
                next = rule == null || rule.anchor().named().isPresent()
                        ? null
                        : rule.anchor().date().orElse(null);
                if (next == which) {
                    faults.kept(
                            at + "/" + Words.word(which),
                            "This date hangs on one that hangs on it: it is unresolved. Give one of them a day.");
                    break;
                }
            }
        }
    }

    private void besides(Course course, String at, Set<String> lessons, Set<String> units, Set<String> items) {
        Set<String> seen = new HashSet<>();
        List<Notice> notices = course.besides().notices();
        for (int n = 0; n < notices.size(); n++) {
            String place = at + "/notices/" + n;
            once(seen, notices.get(n).id(), place + "/id", "notice");
            NoticeTime when = notices.get(n).when();
            notice(when.begins(), place + "/begins", lessons, units, items);
            notice(when.ends(), place + "/ends", lessons, units, items);
            for (int r = 0; r < when.repeats().size(); r++) {
                recurrence(when.repeats().get(r).rule(), place + "/repeats/" + r + "/rule", "entry");
            }
        }
        Set<String> rhythms = new HashSet<>();
        for (int r = 0; r < course.besides().rhythms().size(); r++) {
            Rhythm rhythm = course.besides().rhythms().get(r);
            String place = at + "/rhythms/" + r;
            once(rhythms, rhythm.id(), place + "/id", "rhythm");
            if (!units.contains(rhythm.unit())) {
                faults.fatal(place + "/unit", "There is no unit “" + rhythm.unit() + "” in this course.");
            }
        }
        Set<String> days = new HashSet<>();
        for (int n = 0; n < course.besides().dayNotes().size(); n++) {
            DayNote note = course.besides().dayNotes().get(n);
            once(days, note.date() + where(note.section()), at + "/dayNotes/" + n, "note of");
        }
        Set<String> weeks = new HashSet<>();
        for (int n = 0; n < course.besides().weekNotes().size(); n++) {
            WeekNote note = course.besides().weekNotes().get(n);
            once(weeks, note.first() + where(note.section()), at + "/weekNotes/" + n, "note of the week of");
        }
    }

    private static String where(@Nullable String section) {
        return section == null ? "" : " " + section;
    }

    private void notice(
            @Nullable DateRule rule, String place, Set<String> lessons, Set<String> units, Set<String> items) {
        rule(rule, place, lessons, units);
        if (rule != null) {
            rule.anchor()
                    .named(Anchor.Sort.ITEM)
                    .filter(id -> !items.contains(id))
                    .ifPresent(id ->
                            faults.kept(place + "/item", "There is no item “" + id + "” in this course: no date."));
        }
    }

    private void recurrence(@Nullable String rule, String at, String gives) {
        try {
            if (rule != null) {
                Recurrence.of(rule);
            }
        } catch (IllegalArgumentException e) {
            faults.kept(at, e.getMessage() + ". It gives no " + gives + ".");
        }
    }

    private void item(Item item, String at, Set<String> lessons, Set<String> units) {
        if (item.lesson() != null && !lessons.contains(item.lesson())) {
            faults.kept(at + "/lesson", "There is no lesson “" + item.lesson() + "” in this course.");
        }
        circle(item, at);
        for (Which which : Which.values()) {
            rule(item.rule(which), at + "/" + Words.word(which), lessons, units);
        }
    }

    private void rule(@Nullable DateRule rule, String place, Set<String> lessons, Set<String> units) {
        if (rule == null) {
            return;
        }
        rule.anchor()
                .named(Anchor.Sort.LESSON)
                .filter(id -> !lessons.contains(id))
                .ifPresent(id -> faults.kept(
                        place + "/lesson", "There is no lesson “" + id + "” in this course: the date is unresolved."));
        rule.anchor()
                .named(Anchor.Sort.UNIT)
                .filter(id -> !units.contains(id))
                .ifPresent(id -> faults.kept(
                        place + "/unit", "There is no unit “" + id + "” in this course: the date is unresolved."));
    }

    private void known(Collection<String> ids, Set<String> lessons, String at) {
        for (String id : ids) {
            if (!lessons.contains(id)) {
                faults.kept(at, "There is no lesson “" + id + "” in this course: it is passed over.");
            }
        }
    }

    private void once(Set<String> seen, String id, String at, String what) {
        if (!seen.add(id)) {
            faults.fatal(at, "There are two of the " + what + " “" + id + "”: give one of them another name.");
        }
    }
}
