package app.matsuri.core.repace;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.flow.Usable;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Which;
import app.matsuri.core.repace.Pacing.Kind;
import app.matsuri.core.repace.Pacing.Place;
import app.matsuri.core.repace.Stretch.Asked;
import app.matsuri.core.repace.Stretch.Begun;
import app.matsuri.core.repace.Stretch.Slot;
import app.matsuri.core.schedule.HoldsTest;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.threeten.extra.LocalDateRange;

/**
 * A section seen as a stretch to be paced: what is not taught yet, and the sessions that are left for it.
 *
 * @param in the section
 * @param stretch the model of it
 * @param sessions for each slot, the index of its session
 * @param placements for each lesson of the stretch, where it stands now
 */
public record Paced(SectionSchedule in, Stretch stretch, List<Integer> sessions, List<Placement> placements) {

    /** The section, none of whose sessions to come is over. */
    public static Paced of(SectionSchedule in) {
        return of(in, null);
    }

    /**
     * The section.
     *
     * @param from the first moment at which a session that lessons may take begins; null where none is over
     */
    public static Paced of(SectionSchedule in, @Nullable LocalDateTime from) {
        return new Reader(in).read(from);
    }

    /** Where its lessons stand now. */
    public Pacing stands() {
        Map<Integer, Integer> slot = new HashMap<>();
        for (int i = 0; i < sessions.size(); i++) {
            slot.put(sessions.get(i), i);
        }
        Positions positions = Positions.of(stretch);
        List<Place> places = new ArrayList<>();
        int at = 0;
        int sharable = -1;
        for (int i = 0; i < placements.size(); i++) {
            List<Integer> own = placements.get(i).slots().stream()
                    .filter(s -> !s.taught())
                    .map(s -> slot.get(s.session()))
                    .toList();
            if (own.isEmpty()) {
                places.add(Place.NO_ROOM);
                continue;
            }
            Asked asked = stretch.lessons().get(i);
            int first = own.get(0);
            boolean joins = in.section().own(asked.id()).joined() && asked.had() < 0 && !asked.reserve();
            if (joins && first == sharable) {
                places.add(Place.joined(first));
                sharable = -1;
                continue;
            }
            boolean goesOn = positions.used(at) > 0 && positions.slot(at) == first;
            int start = goesOn ? at : positions.whole(first);
            int last = own.get(own.size() - 1);
            places.add(new Place(Kind.PLACED, first, last - first + 1, asked.length(), positions.used(start)));
            at = positions.behind(start, asked.length(), asked);
            sharable = last;
        }
        return new Pacing(places);
    }

    /** The sessions of every lesson of the section under a pacing, those in which it was taught included, by lesson. */
    public Map<String, List<LocalDateTime>> dates(Pacing pacing) {
        Map<String, List<LocalDateTime>> dates = new LinkedHashMap<>();
        for (Placement placement : in.placements()) {
            List<LocalDateTime> own = new ArrayList<>();
            placement.slots().stream()
                    .filter(Placement.Slot::taught)
                    .forEach(s -> own.add(in.sessions().get(s.session()).start()));
            int i = placements.indexOf(placement);
            if (i >= 0 && pacing.places().get(i).placed()) {
                Place place = pacing.places().get(i);
                for (int k = place.first(); k <= place.last(); k++) {
                    own.add(in.sessions().get(sessions.get(k)).start());
                }
            }
            dates.put(placement.lesson().id(), own);
        }
        return dates;
    }

    /** The first slot on or after the day; as many as there are where none is. */
    public int slotFrom(LocalDate day) {
        int i = 0;
        while (i < stretch.slots().size() && stretch.slots().get(i).date().isBefore(day)) {
            i++;
        }
        return i;
    }

    /** Reads a section. */
    private static final class Reader {

        private final SectionSchedule in;
        private final List<LocalDateRange> breaks;
        private final Usable usable;
        /** Ids of lessons that by minutes keep to one session. */
        private final Set<String> keptWhole;

        Reader(SectionSchedule in) {
            this.in = in;
            keptWhole =
                    in.section().pace() == Section.Pace.MINUTES ? HoldsTest.in(in.course(), in.section()) : Set.of();
            breaks = in.calendar().breaks();
            usable = Usable.of(in.sessions(), in.calendar().term().weekStart());
        }

        private int breaksBefore(LocalDate day) {
            return (int) breaks.stream()
                    .filter(b -> b.getEndInclusive().isBefore(day))
                    .count();
        }

        Paced read(@Nullable LocalDateTime from) {
            int first = 0;
            List<Integer> sessions = new ArrayList<>();
            List<Slot> slots = new ArrayList<>();
            for (int k = usable.start(); k < usable.size(); k++) {
                LocalDate day = in.sessions().get(usable.session(k)).date();
                sessions.add(usable.session(k));
                slots.add(new Slot(
                        day,
                        usable.opensWeek(k),
                        breaksBefore(day),
                        in.sessions().get(usable.session(k)).minutes(),
                        afterBreak(usable.session(k))));
                if (from != null && in.sessions().get(usable.session(k)).start().isBefore(from)) {
                    first = slots.size();
                }
            }
            Set<String> tests = tests();
            List<Asked> lessons = new ArrayList<>();
            List<Placement> placements = new ArrayList<>();
            Map<String, Integer> units = new HashMap<>();
            in.course().units().forEach(u -> units.put(u.id(), units.size()));
            Set<String> opened = new HashSet<>();
            Begun begun = null;
            LocalDate lastTaught = LocalDate.MIN;
            for (Placement placement : in.placements()) {
                if (placement.leftOut()) {
                    continue;
                }
                boolean opens = opened.add(placement.unit().id());
                List<Placement.Slot> had = placement.slots().stream()
                        .filter(Placement.Slot::taught)
                        .toList();
                if (!had.isEmpty()) {
                    LocalDate day =
                            in.sessions().get(had.get(had.size() - 1).session()).date();
                    if (!day.isBefore(lastTaught)) {
                        lastTaught = day;
                        begun = new Begun(Known.in(units, placement.unit().id()), breaksBefore(day));
                    }
                }
                if (placement.taught()) {
                    continue;
                }
                lessons.add(asked(placement, Known.in(units, placement.unit().id()), had, opens, tests));
                placements.add(placement);
            }
            return new Paced(
                    in,
                    new Stretch(
                            slots,
                            lessons,
                            begun,
                            in.course().besides().weights(),
                            in.section().pace() == Section.Pace.MINUTES
                                    ? in.course().usualMinutes()
                                    : 0,
                            first),
                    List.copyOf(sessions),
                    placements);
        }

        /** Whether a break lies between a session and the one before it, or before the first of the section. */
        private boolean afterBreak(int session) {
            int before = session == 0
                    ? 0
                    : breaksBefore(in.sessions().get(session - 1).date());
            return breaksBefore(in.sessions().get(session).date()) > before;
        }

        private Asked asked(Placement placement, int unit, List<Placement.Slot> had, boolean opens, Set<String> tests) {
            if (!had.isEmpty()) {
                return rest(placement, unit, had, tests);
            }
            Lesson lesson = placement.lesson();
            int length = in.section().length(lesson);
            LocalDate pin = in.section().pin(lesson);
            boolean yields = lesson.id().equals(placement.unit().yields());
            boolean keepsWeeks = placement.unit().startsWeek();
            return new Asked(
                    lesson.id(),
                    unit,
                    length,
                    Math.min(lesson.minLength(), length),
                    pin == null ? -1 : pinned(pin),
                    0,
                    lesson.reserve(),
                    lesson.reserve(),
                    (lesson.optional() || yields) && !lesson.reserve(),
                    lesson.joinable() && !lesson.reserve(),
                    opens && keepsWeeks,
                    keepsWeeks,
                    in.section().told().lessons().get(lesson.id()),
                    tests.contains(lesson.id()),
                    -1,
                    0,
                    keptWhole.contains(lesson.id()),
                    false);
        }

        /** What is left of a lesson that was partly taught. */
        private Asked rest(Placement placement, int unit, List<Placement.Slot> had, Set<String> tests) {
            Lesson lesson = placement.lesson();
            int whole = in.section().length(lesson);
            int usual = in.course().usualMinutes();
            boolean minutes = in.section().pace() == Section.Pace.MINUTES && !lesson.reserve();
            int left = minutes
                    ? in.section().minutesLeft(lesson, had.size(), usual)
                    : Math.max(1, whole - had.size()) * usual;
            int length = (left + usual - 1) / usual;
            int spent = minutes && in.section().own(lesson.id()).minutesHad() != null ? whole - length : had.size();
            int stillAsked = lesson.minLength() - spent;
            return new Asked(
                    lesson.id(),
                    unit,
                    length,
                    Math.max(1, Math.min(length, stillAsked)),
                    -1,
                    0,
                    false,
                    lesson.reserve(),
                    lesson.optional() || stillAsked <= 0,
                    false,
                    false,
                    placement.unit().startsWeek(),
                    null,
                    tests.contains(lesson.id()),
                    breaksBefore(
                            in.sessions().get(had.get(had.size() - 1).session()).date()),
                    length * usual - left,
                    false,
                    false);
        }

        /** The slot of a pin: the first usable session on or after it; -2 where that is over, or there is none. */
        private int pinned(LocalDate pin) {
            int k = usable.onOrAfter(pin);
            return k < usable.start() || k == usable.size() ? -2 : k - usable.start();
        }

        /** Lessons that hold a test: one is due in their session without any offset. */
        private Set<String> tests() {
            Set<String> lessons = new HashSet<>();
            for (ItemDates dates : in.dates()) {
                Item item = dates.item();
                DateRule due = dates.rule(Which.DUE);
                if (item.test() && due != null && due.plus().n() == 0 && due.snapTo() == null) {
                    due.anchor().named(Anchor.Sort.LESSON).ifPresent(lessons::add);
                }
            }
            return lessons;
        }
    }
}
