package app.matsuri.core.schedule;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.flow.Flow;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Dated;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.With;
import app.matsuri.core.session.Sessions;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * What follows for one section.
 *
 * @param placements of every lesson, in the order of the plan
 * @param dates of every item that is for the section, in the order of the plan
 * @param notices for the section, those of its own course and those shared with it
 * @param shared work of other courses that is shared with it
 * @param studentDates of students who have other dates; private
 */
public record SectionSchedule(
        Course course,
        Section section,
        TeachingCalendar calendar,
        Sessions sessions,
        List<Placement> placements,
        List<ItemDates> dates,
        List<StudentDates> studentDates,
        List<NoticeDates> notices,
        List<SharedDates> shared,
        Map<String, Placement> byLesson,
        Map<String, ItemDates> byItem) {

    static SectionSchedule of(TeachingCalendar calendar, Course course, Section section) {
        Sessions sessions = section.timetable(course.code()).sessions(calendar);
        List<Placement> placements = place(calendar, course, section, sessions);
        Dates resolver = new Dates(course, section.code(), calendar, sessions, placements);
        List<ItemDates> dates = new ArrayList<>();
        Map<String, ItemDates> byItem = new HashMap<>();
        List<StudentDates> students = new ArrayList<>();
        Map<String, List<Adjustment>> adjustments = new HashMap<>();
        Map<String, List<Adjustment>> forStudents = new HashMap<>();
        for (Adjustment adjustment : section.adjustments()) {
            if (adjustment.student() == null) {
                adjustments.putIfAbsent(adjustment.item(), List.of(adjustment));
            } else {
                forStudents
                        .computeIfAbsent(adjustment.item(), i -> new ArrayList<>())
                        .add(adjustment);
            }
        }
        for (Unit unit : course.units()) {
            for (Item item : unit.items()) {
                if (!item.details().concerns(section.code())) {
                    continue;
                }
                List<Adjustment> own = adjustments.getOrDefault(item.id(), List.of());
                ItemDates resolved = resolver.of(unit, item, own);
                dates.add(resolved);
                byItem.put(item.id(), resolved);
                for (Adjustment other : forStudents.getOrDefault(item.id(), List.of())) {
                    students.add(new StudentDates(other.student(), resolver.of(unit, item, With.added(own, other))));
                }
            }
        }
        Map<String, Placement> byLesson = new HashMap<>();
        placements.forEach(p -> byLesson.put(p.lesson().id(), p));
        return new SectionSchedule(
                course,
                section,
                calendar,
                sessions,
                placements,
                dates,
                students,
                List.of(),
                List.of(),
                byLesson,
                byItem);
    }

    /**
     * Where a lesson of the course stands.
     *
     * @throws IllegalStateException for another lesson
     */
    public Placement placement(String lesson) {
        return Known.in(byLesson, lesson);
    }

    /** Where the lessons of a course fall in a section. */
    public static List<Placement> place(TeachingCalendar calendar, Course course, Section section, Sessions sessions) {
        return Flow.place(
                course, section, sessions, calendar.term().weekStart(), HoldsTest.forPlacing(course, section));
    }

    SectionSchedule with(List<NoticeDates> others, List<SharedDates> ofOthers) {
        return new SectionSchedule(
                course,
                section,
                calendar,
                sessions,
                placements,
                dates,
                studentDates,
                List.copyOf(others),
                List.copyOf(ofOthers),
                byLesson,
                byItem);
    }

    Dates resolver() {
        return new Dates(course, section.code(), calendar, sessions, placements);
    }

    /** The notice of that course and id here. */
    public Optional<NoticeDates> notice(String ofCourse, String id) {
        return notices.stream()
                .filter(n -> n.course().equals(ofCourse) && n.notice().id().equals(id))
                .findFirst();
    }

    /** The dates of work of its course or of one of its notices, by its key; empty where the section has no such thing. */
    public Optional<ThingDates> dated(String key) {
        return Dated.find(course, key).flatMap(this::dated);
    }

    /** Likewise, of one that is at hand. */
    public Optional<ThingDates> dated(Dated thing) {
        return thing.on(new Dated.Cases<>() {
            @Override
            public Optional<ThingDates> item(Item item) {
                return Optional.ofNullable(byItem.get(item.id()));
            }

            @Override
            public Optional<ThingDates> notice(Notice notice) {
                return SectionSchedule.this
                        .notice(course.code(), notice.id())
                        .map(dates -> NoticeSpan.of(dates, SectionSchedule.this));
            }
        });
    }

    /** The dates that an item which is not in the plan, or stands there otherwise, would have here. */
    public ItemDates would(Unit unit, Item item) {
        Dates resolver = resolver();
        return resolver.of(unit, item, section.adjustment(item.id()).stream().toList());
    }

    /** For each session that a lesson takes, by its name, the ids of the lessons in it, in order of the plan. */
    public TreeMap<LocalDateTime, List<String>> lessonsBySession() {
        TreeMap<LocalDateTime, List<String>> lessons = new TreeMap<>();
        placements.forEach(p -> p.slots()
                .forEach(slot -> lessons.computeIfAbsent(
                                sessions.get(slot.session()).name(), n -> new ArrayList<>())
                        .add(p.lesson().id())));
        return lessons;
    }

    /** The first day on which a session has other lessons than in the other schedule; empty where none has. */
    public Optional<LocalDate> firstDifference(SectionSchedule other) {
        return differences(other).stream().findFirst();
    }

    /** The last such day. */
    public Optional<LocalDate> lastDifference(SectionSchedule other) {
        return differences(other).stream().reduce((a, b) -> b);
    }

    private List<LocalDate> differences(SectionSchedule other) {
        Map<LocalDateTime, List<String>> here = lessonsBySession();
        Map<LocalDateTime, List<String>> there = other.lessonsBySession();
        TreeSet<LocalDateTime> names = new TreeSet<>(here.keySet());
        names.addAll(there.keySet());
        return names.stream()
                .filter(name -> !here.getOrDefault(name, List.of()).equals(there.getOrDefault(name, List.of())))
                .map(LocalDateTime::toLocalDate)
                .toList();
    }

    /** Which section it is of. */
    public SectionRef ref() {
        return new SectionRef(course.code(), section.code());
    }

    /** "HYD 210/A", as scopes write it. */
    public String key() {
        return ref().toString();
    }

    /** The start of the lesson's first session; empty when it has none. */
    public Optional<LocalDateTime> start(String lesson) {
        Placement placement = byLesson.get(lesson);
        return placement == null || !placement.placed()
                ? Optional.empty()
                : Optional.of(sessions.get(placement.first()).start());
    }

    private DueDays dueDays() {
        return DueDays.of(calendar, course.code(), section.code());
    }

    /** Whether the moment lies on a day, or in hours, in which nothing may be due here. */
    public boolean nothingDue(LocalDateTime moment) {
        return dueDays().nothingDue(moment);
    }

    /**
     * The day of a moment, or where nothing may be due then, or it does not teach and the day that it comes from did, the next that
     * teaches and on which things may be due; the day itself where the term has no such day.
     *
     * @param taught whether the day that it comes from taught
     */
    public LocalDate onward(LocalDateTime at, boolean taught) {
        LocalDate day = at.toLocalDate();
        DueDays days = dueDays();
        boolean off = days.nothingDue(at);
        if (!off && (calendar.teaches(day) || !taught)) {
            return day;
        }
        return days.next(day, off && calendar.teaches(day) ? 1 : 0, 1, at.toLocalTime())
                .orElse(day);
    }

    /** The lessons that take or took a session on the day, in time order. */
    public List<Placement> lessonsOn(LocalDate day) {
        return placements.stream()
                .filter(p -> p.slots().stream()
                        .anyMatch(s -> sessions.get(s.session()).date().equals(day)))
                .toList();
    }

    /**
     * Students' work by day, in minutes: spread evenly over the teaching days from a thing's opening, the telling, or a week before,
     * to its due date. Days without any are left out.
     */
    public Map<LocalDate, Integer> workByDay() {
        return DailyWork.of(this);
    }

    /** Students' work per term week, counted where it is due. */
    public List<WeekLoad> loads() {
        int[] minutes = new int[calendar.weeks()];
        for (ItemDates item : Stream.concat(dates.stream(), shared.stream().map(SharedDates::dates))
                .toList()) {
            Integer work = item.item().minutes();
            LocalDateTime main = item.main();
            if (work != null && main != null) {
                calendar.weekNumber(main.toLocalDate()).ifPresent(week -> minutes[week - 1] += work);
            }
        }
        List<WeekLoad> loads = new ArrayList<>(minutes.length);
        for (int i = 0; i < minutes.length; i++) {
            loads.add(new WeekLoad(i + 1, minutes[i], course.weekLimit()));
        }
        return loads;
    }
}
