package app.matsuri.core.repace;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.pace.BeginMidWeek;
import app.matsuri.core.change.pace.HoldEmpty;
import app.matsuri.core.change.pace.Join;
import app.matsuri.core.change.pace.LeaveOut;
import app.matsuri.core.change.pace.Pin;
import app.matsuri.core.change.pace.RecordTaught;
import app.matsuri.core.change.pace.SetGap;
import app.matsuri.core.change.pace.SetLength;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.With;
import app.matsuri.core.repace.Pacing.Kind;
import app.matsuri.core.repace.Pacing.Place;
import app.matsuri.core.repace.Stretch.Asked;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import app.matsuri.core.session.Sessions;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Turns a pacing into ordinary changes of one section after which its lessons fall as the pacing says. First what is decided of
 * lessons (left out, shortened, joined); then, lesson by lesson, what keeps the flow from the place that the pacing gives.
 */
final class Steps {

    private final Paced paced;
    private final Pacing pacing;
    private final String course;
    private final List<Way.Step> steps = new ArrayList<>();
    private Section section;

    private Steps(Paced paced, Pacing pacing) {
        this.paced = paced;
        this.pacing = pacing;
        this.section = paced.in().section();
        this.course = paced.in().course().code();
    }

    /** The changes, in order; empty where no such changes lead to the pacing. */
    static Optional<List<Way.Step>> of(Paced paced, Pacing pacing) {
        Steps steps = new Steps(paced, pacing);
        steps.decideLessons();
        return steps.lead() ? Optional.of(steps.steps) : Optional.empty();
    }

    private void decideLessons() {
        for (int i = 0; i < pacing.places().size(); i++) {
            Place place = pacing.places().get(i);
            Lesson lesson = lesson(i);
            boolean joined = section.own(lesson.id()).joined();
            if (place.kind() == Kind.LEFT_OUT) {
                givesWay(i);
            } else if (place.kind() == Kind.JOINED && !joined) {
                section = section.withJoined(lesson.id(), true);
                add(
                        "Join " + title(i) + " to the lesson before it",
                        new Join(course, section.code(), lesson.id(), true));
            } else if (place.kind() == Kind.PLACED && joined) {
                section = section.withJoined(lesson.id(), false);
                add("Give " + title(i) + " its own class again", new Join(course, section.code(), lesson.id(), false));
            }
            if (place.kind() == Kind.PLACED) {
                size(i, place.given());
            }
        }
    }

    private void size(int i, int own) {
        Lesson lesson = lesson(i);
        Asked asked = paced.stretch().lessons().get(i);
        int length = section.length(lesson) + own - asked.length();
        if (own != asked.length()) {
            section = section.withLength(lesson.id(), length);
            add(
                    (own < asked.length() ? "Shorten " : "Give ")
                            + title(i)
                            + (own < asked.length() ? " to " : " ")
                            + (length == 1 ? "one class" : length + " classes"),
                    new SetLength(course, section.code(), lesson.id(), length));
        }
    }

    /** Whether nothing of it is to be placed any more. */
    private boolean gone(int i) {
        boolean had = paced.placements().get(i).slots().stream().anyMatch(Placement.Slot::taught);
        String id = lesson(i).id();
        return section.own(id).leftOut() || had && !section.own(id).partly();
    }

    /** Leaves out what finds no class; of what was taught in part the rest. */
    private boolean givesWay(int i) {
        Lesson lesson = lesson(i);
        if (!section.own(lesson.id()).partly()) {
            leaveOut(i);
            return true;
        }
        LocalDateTime last = null;
        for (Map.Entry<LocalDateTime, List<String>> record : section.taught().entrySet()) {
            if (record.getValue().contains(lesson.id())
                    && (last == null || record.getKey().isAfter(last))) {
                last = record.getKey();
            }
        }
        if (last == null) {
            return false;
        }
        List<String> lessons = Known.in(section.taught(), last);
        section = section.withOwn(lesson.id(), own -> own.withPartly(false));
        add(
                "Count " + title(i) + " as finished",
                new RecordTaught(course, section.code(), last, lessons, false, true, ""));
        return true;
    }

    private void leaveOut(int i) {
        Lesson lesson = lesson(i);
        section = section.withLeftOut(lesson.id(), true);
        add(
                (lesson.reserve() ? "Give up the spare day " : "Leave out ") + title(i),
                new LeaveOut(course, section.code(), lesson.id(), true));
    }

    /** Mends the first lesson that falls otherwise, until none does; false where one cannot be mended. */
    private boolean lead() {
        int most = 3 * (pacing.places().size() + paced.sessions().size()) + 3;
        for (int round = 0; round < most; round++) {
            int[] falls = flow();
            int i = 0;
            while (i < falls.length && falls[i] == wanted(i)) {
                i++;
            }
            if (i == falls.length) {
                return true;
            }
            if (!mend(i, falls)) {
                return false;
            }
        }
        return false;
    }

    private boolean mend(int i, int[] falls) {
        Place place = pacing.places().get(i);
        if (!place.placed()) {
            return givesWay(i); // it finds no class, and those behind it do
        }
        if (falls[i] < 0) {
            for (int j = i - 1; j >= 0; j--) {
                boolean stuck = pacing.places().get(j).kind() == Kind.NO_ROOM && !gone(j);
                if (stuck) {
                    return givesWay(j);
                }
            }
            for (int j = i + 1; j < falls.length; j++) {
                boolean ahead = section.pin(lesson(j)) != null && !gone(j);
                if (ahead && !pacing.places().get(j).placed()) {
                    return givesWay(j); // its date stands in the way, and it finds no class
                }
                if (ahead) {
                    break;
                }
            }
            return nearer(i);
        }
        if (falls[i] > place.first()) {
            return nearer(i);
        }
        if (within(i, falls[i])) {
            Lesson lesson = lesson(i);
            int gap = place.first() - falls[i] - 1;
            if (gap == 0) {
                return beginWith(i);
            }
            section = section.withGap(lesson.id(), gap - lesson.gapBefore());
            add(
                    "Leave " + (gap == 1 ? "a class" : gap + " classes") + " empty before " + title(i),
                    new SetGap(course, section.code(), lesson.id(), gap));
            return true;
        }
        for (int k = falls[i]; k < place.first(); k++) {
            Session session = paced.in().sessions().get(paced.sessions().get(k));
            section = section.withHoldsEmpty(With.member(section.holdsEmpty(), session.name(), true));
            add(
                    "Leave " + Say.day(session.date()) + " empty",
                    new HoldEmpty(course, section.code(), session.name(), true));
        }
        return true;
    }

    /** Has a lesson begin with its class where there is time left in the one before. */
    private boolean beginWith(int i) {
        Lesson lesson = lesson(i);
        LocalDate day =
                paced.stretch().slots().get(pacing.places().get(i).first()).date();
        if (day.equals(section.pin(lesson))) {
            return false;
        }
        section = section.withPin(lesson.id(), Own.other(day));
        add(
                "Begin " + title(i) + " with the class of " + Say.day(day),
                new Pin(course, section.code(), lesson.id(), day));
        return true;
    }

    /** Whether a lesson before it takes part of the slot, so that the slot cannot be held empty. */
    private boolean within(int i, int slot) {
        for (int j = 0; j < i; j++) {
            Place place = pacing.places().get(j);
            if (place.placed() && place.last() == slot) {
                return true;
            }
        }
        return false;
    }

    /** Takes away what keeps a lesson from an earlier class: the week start of its unit, then its gap; the gap alone where it is
     * to begin a week. */
    private boolean nearer(int i) {
        Lesson lesson = lesson(i);
        boolean begins =
                paced.stretch().slots().get(pacing.places().get(i).first()).weekStart();
        boolean within = pacing.places().get(i).used() > 0;
        boolean gapFirst = begins && !within && section.gap(lesson) > 0;
        if (opensUnit(i) && !section.own(lesson.id()).midWeek() && !gapFirst) {
            section = section.withMidWeek(lesson.id(), true);
            add(
                    "Begin the unit of " + title(i) + " mid-week",
                    new BeginMidWeek(course, section.code(), lesson.id(), true));
            return true;
        }
        if (section.gap(lesson) > 0) {
            section = section.withGap(lesson.id(), -lesson.gapBefore());
            add("Close the gap before " + title(i), new SetGap(course, section.code(), lesson.id(), 0));
            return true;
        }
        return false;
    }

    /** Whether its unit asks for a week start and it is the unit's first lesson, of those that are not left out. */
    private boolean opensUnit(int i) {
        Unit unit = paced.placements().get(i).unit();
        return unit.startsWeek()
                && unit.lessons().stream()
                        .filter(l -> !section.leavesOut(l))
                        .findFirst()
                        .filter(l -> l.id().equals(lesson(i).id()))
                        .isPresent();
    }

    /** For each lesson the slot that it begins in as things are decided now; -1 for none. */
    private int[] flow() {
        Course in = paced.in().course();
        Sessions sessions = section.timetable(course).sessions(paced.in().calendar());
        List<Placement> placements = SectionSchedule.place(paced.in().calendar(), in, section, sessions);
        Map<String, Placement> byLesson = new HashMap<>();
        placements.forEach(p -> byLesson.put(p.lesson().id(), p));
        Map<Integer, Integer> slots = new HashMap<>();
        for (int k = 0; k < paced.sessions().size(); k++) {
            slots.put(paced.sessions().get(k), k);
        }
        int[] falls = new int[pacing.places().size()];
        for (int i = 0; i < falls.length; i++) {
            falls[i] = Known.in(byLesson, lesson(i).id()).slots().stream()
                    .filter(s -> !s.taught())
                    .findFirst()
                    .map(s -> slots.getOrDefault(s.session(), -1))
                    .orElse(-1);
        }
        return falls;
    }

    private int wanted(int i) {
        Place place = pacing.places().get(i);
        return place.placed() ? place.first() : -1;
    }

    private Lesson lesson(int i) {
        return paced.placements().get(i).lesson();
    }

    private String title(int i) {
        return "“" + lesson(i).title() + "”";
    }

    private void add(String sentence, Change change) {
        steps.add(new Way.Step(sentence, change));
    }
}
