package app.matsuri.core.shown;

import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Dated;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.Telling;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.NoticeDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.SharedDates;
import app.matsuri.core.schedule.StudentDates;
import app.matsuri.core.shown.ShownUnit.Material;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Makes what is shown from what was told. */
final class Showing {

    private final Schedule schedule;
    private final SectionSchedule in;
    private final Told told;
    private final Reader reader;
    /** Whether it is for a teacher, who sees what is hidden from students too. */
    private final boolean teacher;

    private final LocalDateTime now;
    private final Released released;
    private final Map<String, Lesson> lessons = new HashMap<>();

    Showing(Schedule schedule, SectionSchedule in, Told told, boolean teacher, Reader reader, LocalDateTime now) {
        this.schedule = schedule;
        this.in = in;
        this.told = told;
        this.teacher = teacher;
        this.reader = reader;
        this.now = now;
        this.released = new Released(in, told, now);
        in.course().lessons().forEach(lesson -> lessons.put(lesson.id(), lesson));
    }

    /** The sessions that were told, in order of time; where days alone were told, a day each. */
    List<ShownSession> sessions() {
        return new ShowingSessions(in, told, teacher, now).sessions();
    }

    /** The work that was told, that of its own course and what is shared with it, in order of the main dates. */
    List<ShownThing> things() {
        List<ShownThing> things = new ArrayList<>();
        told.work().forEach((key, of) -> {
            if (!Dated.meansNotice(key)) {
                add(things, in, key, of);
            }
        });
        for (SharedDates shared : in.shared()) {
            Item item = shared.dates().item();
            SectionSchedule from = home(shared.course(), item);
            Told.OfWork of = from == null ? null : from.section().told().work().get(item.id());
            if (from != null && of != null) {
                add(things, from, item.id(), of);
            }
        }
        things.sort(Comparator.comparing(ShownThing::main));
        return things;
    }

    /** The section whose dates others have too: the first of its course that the thing is for; null for none. */
    private @Nullable SectionSchedule home(String course, Dated thing) {
        return schedule.sections(course).stream()
                .filter(s -> thing.concerns(s.section().code()))
                .findFirst()
                .orElse(null);
    }

    private void add(List<ShownThing> things, SectionSchedule from, String key, Told.OfWork of) {
        Item item = from.course().item(key).orElse(null);
        Unit unit = from.course().unitOfItem(key).orElse(null);
        Map<Which, LocalDateTime> dates = new EnumMap<>(Which.class);
        dates.putAll(of.dates());
        boolean own = from == in && putOwn(key, dates);
        LocalDateTime opens = dates.get(Which.OPENS);
        boolean open = teacher || opens == null || !opens.isAfter(now);
        boolean hidden = item != null && item.details().hidden() && !open;
        if (hidden || dates.isEmpty()) {
            return;
        }
        ThingRef ref = new ThingRef(from.course().code(), key);
        things.add(new ShownThing(
                ref,
                item == null ? of.title() : item.title(),
                item == null ? null : ShownThing.About.of(item),
                unit == null ? null : unit.id(),
                dates,
                open,
                own,
                reader.handedIn().contains(ref),
                item == null || !open ? "" : item.details().instructions(),
                item == null || !open ? List.of() : item.details().links(),
                item == null ? List.of() : released.files(item.details().files(), open, unit, from)));
    }

    /** Puts the dates that are the reader's own in place of the section's; whether there are any. */
    private boolean putOwn(String key, Map<Which, LocalDateTime> dates) {
        if (reader.student() == null) {
            return false;
        }
        boolean own = false;
        for (StudentDates of : in.studentDates()) {
            if (!reader.student().equals(of.student())
                    || !of.dates().item().id().equals(key)) {
                continue;
            }
            for (Adjustment adjustment : in.section().adjustments()) {
                if (adjustment.same(key, reader.student())) {
                    for (Which which : adjustment.dates().keySet()) {
                        LocalDateTime at = of.dates().at(which);
                        if (at == null) {
                            dates.remove(which);
                        } else {
                            dates.put(which, at);
                        }
                        own = true;
                    }
                }
            }
        }
        return own;
    }

    /** The notices that were told and are not hidden any more, in order of time. */
    List<ShownNotice> notices() {
        List<ShownNotice> notices = new ArrayList<>();
        for (NoticeDates of : in.notices()) {
            Notice notice = of.notice();
            SectionSchedule from = of.own(in) ? in : home(of.course(), notice);
            Told.OfWork was = from == null ? null : released.told(from).work().get(notice.key());
            LocalDateTime begins = was == null ? null : was.dates().get(Which.OPENS);
            if (from == null || was == null || begins == null || !shows(notice, of.hiddenUntil())) {
                continue;
            }
            notices.add(new ShownNotice(
                    of.course(),
                    notice.id(),
                    notice.title(),
                    notice.text(),
                    notice.place(),
                    notice.links(),
                    released.files(
                            notice.files(),
                            true,
                            notice.unit() == null
                                    ? null
                                    : from.course().unit(notice.unit()).orElse(null),
                            from),
                    begins,
                    was.dates().get(Which.CLOSES),
                    was.entries(),
                    notice.wholeDays(from.section().code())));
        }
        notices.sort(Comparator.comparing(ShownNotice::begins));
        return notices;
    }

    private boolean shows(Notice notice, @Nullable Resolved hiddenUntil) {
        if (teacher) {
            return true;
        }
        if (notice.reach() == Notice.Reach.OWN) {
            return false;
        }
        return notice.hiddenUntil() == null
                || hiddenUntil != null
                        && hiddenUntil.resolved()
                        && !hiddenUntil.moment().isAfter(now);
    }

    /** The next moment at which something opens, appears or may be had, no later than the next midnight. */
    LocalDateTime until() {
        List<@Nullable LocalDateTime> moments = new ArrayList<>();
        for (SectionSchedule of : schedule.sections()) {
            of.section()
                    .told()
                    .work()
                    .values()
                    .forEach(work -> moments.add(work.dates().get(Which.OPENS)));
        }
        in.studentDates().forEach(of -> moments.add(of.dates().at(Which.OPENS)));
        told.sessions().values().forEach(session -> {
            moments.add(session.start());
            moments.add(session.end());
        });
        in.notices()
                .forEach(of -> moments.add(
                        of.hiddenUntil() == null ? null : of.hiddenUntil().at()));
        for (Course course : schedule.sections().stream()
                .map(SectionSchedule::course)
                .distinct()
                .toList()) {
            course.units().forEach(unit -> unit.files().forEach(file -> moments.add(file.from())));
            course.besides().notices().forEach(notice -> notice.files().forEach(file -> moments.add(file.from())));
            course.lessons().forEach(lesson -> lesson.details().files().forEach(file -> moments.add(file.from())));
            course.items().forEach(item -> item.details().files().forEach(file -> moments.add(file.from())));
        }
        return moments.stream()
                .filter(Objects::nonNull)
                .filter(moment -> moment.isAfter(now))
                .reduce(now.toLocalDate().plusDays(1).atStartOfDay(), (a, b) -> a.isBefore(b) ? a : b);
    }

    /** What was told otherwise before, the newest telling first. */
    List<ShownMove> moves() {
        Set<String> hidden = new HashSet<>();
        for (Unit unit : in.course().units()) {
            for (Item item : unit.items()) {
                Told.OfWork of = told.work().get(item.id());
                LocalDateTime opens = of == null ? null : of.dates().get(Which.OPENS);
                if (item.details().hidden() && (of == null || opens != null && opens.isAfter(now))) {
                    hidden.add(item.id());
                }
            }
        }
        for (NoticeDates of : in.notices()) {
            if (of.own(in) && !shows(of.notice(), of.hiddenUntil())) {
                hidden.add(of.notice().key());
            }
        }
        List<ShownMove> moves = new ArrayList<>();
        for (int k = told.tellings().size() - 1; k >= 0; k--) {
            Telling telling = told.tellings().get(k);
            for (Telling.Move move : telling.moves()) {
                if (!hidden.contains(move.id())) {
                    moves.add(new ShownMove(
                            move.what(), move.id(), title(move), move.from(), move.to(), telling.why(), telling.at()));
                }
            }
        }
        return moves;
    }

    private String title(Telling.Move move) {
        Lesson lesson = lessons.get(move.id());
        return lesson != null
                ? lesson.title()
                : Dated.find(in.course(), move.id()).map(Dated::title).orElse(move.title());
    }

    /** The units that have begun. */
    List<ShownUnit> units(List<ShownSession> sessions, List<ShownThing> things) {
        LocalDate today = now.toLocalDate();
        Set<String> begun = new HashSet<>();
        Set<String> withLessons = new HashSet<>();
        for (ShownSession session : sessions) {
            for (ShownSession.Part part : session.lessons()) {
                if (part.unit() != null) {
                    withLessons.add(part.unit());
                    if (!session.day().isAfter(today)) {
                        begun.add(part.unit());
                    }
                }
            }
        }
        Map<String, ShownThing> open = new HashMap<>();
        for (ShownThing thing : things) {
            if (thing.ref().course().equals(in.course().code())) {
                open.put(thing.ref().id(), thing);
                if (thing.unit() != null && thing.open() && !withLessons.contains(thing.unit())) {
                    begun.add(thing.unit());
                }
            }
        }
        List<ShownUnit> units = new ArrayList<>();
        for (int number = 0; number < in.course().units().size(); number++) {
            Unit unit = in.course().units().get(number);
            if (begun.contains(unit.id())) {
                units.add(new ShownUnit(
                        unit.id(), unit.code(), unit.title(), unit.colour(), number, materials(unit, open)));
            }
        }
        return units;
    }

    private List<Material> materials(Unit unit, Map<String, ShownThing> open) {
        List<Material> materials = new ArrayList<>();
        materials.add(new Material("", unit.links(), released.files(unit.files(), true, unit, in)));
        for (Lesson lesson : unit.lessons()) {
            if (told.lessons().containsKey(lesson.id())) {
                materials.add(new Material(
                        lesson.title(),
                        lesson.details().links(),
                        released.files(lesson.details().files(), true, unit, in)));
            }
        }
        for (Item item : unit.items()) {
            ShownThing thing = open.get(item.id());
            if (thing != null) {
                materials.add(new Material(thing.title(), thing.links(), thing.files()));
            }
        }
        return materials.stream().filter(Material::any).toList();
    }
}
