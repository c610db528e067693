package app.matsuri.core.schedule;

import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Dated;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Telling;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.ToldSession;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.plan.With;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * A date of a section that is not what its students were told: the day of a lesson, or a date of work or of a notice.
 *
 * @param what "lesson", "opens", "due" or "closes"
 * @param id of the lesson, of work, or of a notice among work
 * @param told what they were told, of a lesson the beginning of its day; null for nothing yet
 * @param now what is planned, likewise; null for no such date any more
 */
public record Untold(
        String what,
        String id,
        String title,
        @Nullable LocalDateTime told,
        @Nullable LocalDateTime now) {

    /** Of a lesson. */
    public static final String LESSON = "lesson";

    /** The word for one of the dates of work. */
    public static String what(Which which) {
        return which.name().toLowerCase(Locale.ROOT);
    }

    /** The title with which of its dates it is: "Field log 5, due"; that of a lesson or notice alone. */
    public String name() {
        boolean alone = what.equals(LESSON) || Dated.meansNotice(id);
        return alone ? title : title + ", " + what;
    }

    /** A date that can be told: what it is, as {@link #what(Which)} says it, and of which thing. */
    private record Thing(String what, String id) {

        boolean lesson() {
            return what.equals(LESSON);
        }
    }

    /**
     * Where what is planned differs from what students were told, in order of the plan, then what is gone from it.
     * Nothing where they were told nothing yet, and nothing that lies behind the day up to which they were told.
     */
    public static List<Untold> differing(SectionSchedule in) {
        return in.section().told().begun() ? differing(in, planned(in)) : List.of();
    }

    /** Likewise, with what is planned. */
    private static List<Untold> differing(SectionSchedule in, Map<Thing, LocalDateTime> planned) {
        Told told = in.section().told();
        boolean onlyLessons = told.work().isEmpty() && told.tellings().isEmpty();
        List<Untold> differing = differing(in, planned, told.upTo());
        return onlyLessons
                ? differing.stream().filter(u -> u.what().equals(LESSON)).toList()
                : differing;
    }

    /**
     * What students have not been told, or told otherwise, with what was told already and of the rest only up to a day. Spare days are
     * no lessons to tell, and drafts are passed over. What students see only from a moment on is told, and shown from then.
     *
     * @param upTo the last day; null for all
     */
    public static List<Untold> differing(SectionSchedule in, @Nullable LocalDate upTo) {
        return differing(in, planned(in), upTo);
    }

    private static List<Untold> differing(SectionSchedule in, Map<Thing, LocalDateTime> is, @Nullable LocalDate upTo) {
        Told told = in.section().told();
        Map<Thing, LocalDateTime> was = told(told);
        was.keySet().removeIf(thing -> passedOver(in, thing) && !is.containsKey(thing));
        List<Untold> differing = new ArrayList<>();
        for (Thing thing : union(is, was)) {
            LocalDateTime from = was.get(thing);
            LocalDateTime to = is.get(thing);
            if (!Objects.equals(from, to) && (from != null || within(to, upTo))) {
                differing.add(new Untold(thing.what(), thing.id(), title(in, told, thing), from, to));
            }
        }
        return differing;
    }

    /**
     * A session that is not when or where students were told it.
     *
     * @param name the start it first had
     * @param told what they were told; null for nothing
     * @param now what is planned; null for no such session any more
     */
    public record OfSession(
            LocalDateTime name,
            @Nullable ToldSession told,
            @Nullable ToldSession now) {}

    /**
     * The sessions that are not when or where students were told them, in order of their names, up to the day up to which they were told.
     * Nothing where they were told days without sessions. Which lesson is in a session is a date of that lesson.
     */
    public static List<OfSession> sessions(SectionSchedule in) {
        Told told = in.section().told();
        if (told.sessions().isEmpty()) {
            return List.of();
        }
        Map<LocalDateTime, ToldSession> now = ToldSessions.all(in, told.lessons(), told.upTo());
        Set<LocalDateTime> names = new TreeSet<>(told.sessions().keySet());
        names.addAll(now.keySet());
        List<OfSession> differing = new ArrayList<>();
        for (LocalDateTime name : names) {
            ToldSession was = told.sessions().get(name);
            ToldSession is = now.get(name);
            if (was == null || is == null || !was.same(is)) {
                differing.add(new OfSession(name, was, is));
            }
        }
        return differing;
    }

    /** What the students of a section know when they were told its dates, with what differs from what they were told. */
    public static Told after(
            SectionSchedule in,
            List<Untold> differences,
            @Nullable LocalDate upTo,
            @Nullable LocalDateTime at,
            String why) {
        Told told = withEntries(in, after(in.section().told(), differences, upTo, at, why));
        return told.withSessions(ToldSessions.all(in, told.lessons(), upTo));
    }

    /** Likewise, with the entries of notices that repeat, of those whose beginning and end are told as they are planned. */
    private static Told withEntries(SectionSchedule in, Told told) {
        Map<String, Told.OfWork> work = new LinkedHashMap<>(told.work());
        for (NoticeDates notice : in.notices()) {
            String key = notice.notice().key();
            Told.OfWork of = notice.own(in) ? work.get(key) : null;
            if (of == null || !notice.notice().when(in.section().code()).series()) {
                continue;
            }
            NoticeSpan span = NoticeSpan.of(notice, in);
            boolean asPlanned = Objects.equals(of.dates().get(Which.OPENS), span.at(Which.OPENS))
                    && Objects.equals(of.dates().get(Which.CLOSES), span.at(Which.CLOSES));
            if (asPlanned) {
                List<LocalDateTime> entries = notice.entries().stream()
                        .filter(NoticeDates.Entry::resolved)
                        .map(NoticeDates.Entry::beginning)
                        .toList();
                work.put(key, new Told.OfWork(of.title(), of.dates(), entries));
            }
        }
        return told.withWork(work);
    }

    /** Likewise, with sessions as they were told. */
    private static Told after(
            Told was, List<Untold> differences, @Nullable LocalDate upTo, @Nullable LocalDateTime at, String why) {
        Map<String, LocalDate> lessons = new LinkedHashMap<>(was.lessons());
        Map<String, Told.OfWork> work = new LinkedHashMap<>(was.work());
        List<Telling.Move> moves = new ArrayList<>();
        for (Untold one : differences) {
            if (one.what().equals(LESSON)) {
                set(lessons, one.id(), one.now() == null ? null : one.now().toLocalDate());
            } else {
                Told.OfWork old = work.getOrDefault(one.id(), new Told.OfWork(one.title(), Map.of()));
                Which which = Which.valueOf(one.what().toUpperCase(Locale.ROOT));
                Map<Which, LocalDateTime> dates = With.entry(old.dates(), which, one.now());
                set(work, one.id(), dates.isEmpty() ? null : new Told.OfWork(one.title(), dates, old.entries()));
            }
            if (one.told() != null) {
                moves.add(new Telling.Move(one.what(), one.id(), one.title(), one.told(), one.now()));
            }
        }
        List<Telling> tellings = new ArrayList<>(was.tellings());
        tellings.add(new Telling(at, why, moves));
        return new Told(lessons, was.sessions(), work, upTo, tellings);
    }

    /**
     * What a change alters for the students of a section that were told anything, and nothing else that may be waiting.
     *
     * @param was the section before it
     * @param is the section after it
     * @param dates those that it alters; none where it is only when or where a session is
     */
    public record Altered(SectionSchedule was, SectionSchedule is, List<Untold> dates) {}

    /** What a change alters for the students of each section. */
    public static List<Altered> altered(Schedule before, Schedule now) {
        List<Altered> altered = new ArrayList<>();
        for (SectionSchedule is : now.sections()) {
            Optional<SectionSchedule> old =
                    before.section(is.course().code(), is.section().code());
            if (!is.section().told().begun() || old.isEmpty()) {
                continue;
            }
            Map<Thing, LocalDateTime> from = planned(old.get());
            Map<Thing, LocalDateTime> to = planned(is);
            List<Untold> dates = from.equals(to)
                    ? List.of()
                    : differing(is, to).stream()
                            .filter(u -> {
                                Thing thing = new Thing(u.what(), u.id());
                                return !Objects.equals(from.get(thing), to.get(thing));
                            })
                            .toList();
            boolean sessions = !is.section().told().sessions().isEmpty()
                    && !old.get().sessions().all().equals(is.sessions().all());
            if (!dates.isEmpty() || sessions) {
                altered.add(new Altered(old.get(), is, dates));
            }
        }
        return altered;
    }

    /**
     * The decisions after a change with its students told of what it alters.
     *
     * @param at in the term's zone; null where it is not known
     */
    public static Decisions seen(List<Altered> altered, Decisions after, @Nullable LocalDateTime at) {
        Decisions seen = after;
        for (Altered one : altered) {
            Section section = one.is().section();
            Course course = seen.course(one.is().course().code()).orElseThrow();
            Told told = one.dates().isEmpty()
                    ? section.told()
                    : withEntries(
                            one.is(),
                            after(section.told(), one.dates(), section.told().upTo(), at, ""));
            told = told.withSessions(ToldSessions.altered(one.was(), one.is(), told.lessons()));
            seen = seen.withCourse(course.withSection(section.withTold(told)));
        }
        return seen;
    }

    /** The decisions, where what students were told since others says when. */
    public static Decisions at(LocalDateTime at, Decisions before, Decisions after) {
        Decisions stamped = after;
        for (Course course : after.courses()) {
            for (Section section : course.sections()) {
                int had = before.course(course.code())
                        .flatMap(c -> c.section(section.code()))
                        .map(s -> s.told().tellings().size())
                        .orElse(0);
                Told told = section.told();
                if (told.tellings().size() > had) {
                    List<Telling> tellings = new ArrayList<>(told.tellings());
                    tellings.replaceAll(t -> t.at() == null ? new Telling(at, t.why(), t.moves()) : t);
                    stamped = stamped.withCourse(stamped.course(course.code())
                            .orElseThrow()
                            .withSection(section.withTold(told.withTellings(tellings))));
                }
            }
        }
        return stamped;
    }

    private static <V> void set(Map<String, V> map, String id, @Nullable V value) {
        if (value == null) {
            map.remove(id);
        } else {
            map.put(id, value);
        }
    }

    private static Set<Thing> union(Map<Thing, LocalDateTime> first, Map<Thing, LocalDateTime> then) {
        Set<Thing> things = new LinkedHashSet<>(first.keySet());
        things.addAll(then.keySet());
        return things;
    }

    private static boolean within(@Nullable LocalDateTime date, @Nullable LocalDate upTo) {
        return upTo == null || date != null && !date.toLocalDate().isAfter(upTo);
    }

    private static Map<Thing, LocalDateTime> planned(SectionSchedule in) {
        Map<Thing, LocalDateTime> dates = new LinkedHashMap<>();
        for (Placement placement : in.placements()) {
            if (placement.placed() && !passedOver(in, placement.lesson())) {
                LocalDate day = in.sessions().get(placement.first()).date();
                dates.put(new Thing(LESSON, placement.lesson().id()), day.atStartOfDay());
            }
        }
        in.dates().stream().filter(item -> !item.draft()).forEach(item -> put(dates, item));
        in.notices().stream()
                .filter(n -> n.own(in) && n.notice().reach() != Notice.Reach.OWN)
                .forEach(n -> put(dates, NoticeSpan.of(n, in)));
        return dates;
    }

    /** Whether a lesson is a spare day, or in a unit that is a draft. */
    private static boolean passedOver(SectionSchedule in, Lesson lesson) {
        return lesson.reserve()
                || in.course().unitOfLesson(lesson.id()).filter(Unit::draft).isPresent();
    }

    private static boolean passedOver(SectionSchedule in, Thing thing) {
        if (thing.lesson()) {
            Placement placement = in.byLesson().get(thing.id());
            return placement != null && passedOver(in, placement.lesson());
        }
        ItemDates item = in.byItem().get(thing.id());
        return item != null && item.draft();
    }

    private static void put(Map<Thing, LocalDateTime> dates, ThingDates of) {
        for (Which which : Which.values()) {
            LocalDateTime at = of.at(which);
            if (at != null) {
                dates.put(new Thing(what(which), of.thing().key()), at);
            }
        }
    }

    private static Map<Thing, LocalDateTime> told(Told told) {
        Map<Thing, LocalDateTime> dates = new LinkedHashMap<>();
        told.lessons().forEach((id, day) -> dates.put(new Thing(LESSON, id), day.atStartOfDay()));
        told.work()
                .forEach((id, of) -> of.dates().forEach((which, date) -> dates.put(new Thing(what(which), id), date)));
        return dates;
    }

    private static String title(SectionSchedule in, Told told, Thing thing) {
        if (thing.lesson()) {
            Placement placement = in.byLesson().get(thing.id());
            return placement == null ? thing.id() : placement.lesson().title();
        }
        Told.OfWork of = told.work().get(thing.id());
        return Dated.find(in.course(), thing.id()).map(Dated::title).orElse(of == null ? thing.id() : of.title());
    }
}
