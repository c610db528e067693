package app.matsuri.core.schedule;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.ToldSession;
import app.matsuri.core.session.Session;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * Sessions as students are told them: when and where, and of their lessons those whose day they know as it is planned, so that no
 * lesson comes out by its session that was kept back.
 */
final class ToldSessions {

    private ToldSessions() {}

    /**
     * What students know of sessions when they are told the dates of a section: those up to a day, and those that they were told
     * before, as they are planned now. What is no longer planned is told away.
     *
     * @param days the days of lessons as they know them then, by lesson
     * @param upTo the last day; null for all
     */
    static Map<LocalDateTime, ToldSession> all(
            SectionSchedule in, Map<String, LocalDate> days, @Nullable LocalDate upTo) {
        Told was = in.section().told();
        Map<LocalDateTime, ToldSession> told = planned(in, days);
        told.entrySet()
                .removeIf(e -> upTo != null
                        && e.getValue().start().toLocalDate().isAfter(upTo)
                        && !was.sessions().containsKey(e.getKey()));
        return told;
    }

    /**
     * What they know of sessions when they are told what a change alters: the sessions that it alters are as they are planned now, all
     * others as they were told. Of a section that was told days without sessions nothing is known of them still.
     *
     * @param days the days of lessons as they know them then, by lesson
     */
    static Map<LocalDateTime, ToldSession> altered(
            SectionSchedule before, SectionSchedule now, Map<String, LocalDate> days) {
        Told was = now.section().told();
        Map<LocalDateTime, ToldSession> told = new TreeMap<>(was.sessions());
        if (told.isEmpty()) {
            return told;
        }
        Map<LocalDateTime, ToldSession> old = planned(before, null);
        Map<LocalDateTime, ToldSession> fresh = planned(now, null);
        Map<LocalDateTime, ToldSession> known = planned(now, days);
        old.keySet().stream().filter(name -> !fresh.containsKey(name)).forEach(told::remove);
        fresh.forEach((name, session) -> {
            boolean within =
                    was.upTo() == null || !session.start().toLocalDate().isAfter(was.upTo()) || told.containsKey(name);
            if (within && !Objects.equals(old.get(name), session)) {
                told.merge(name, Known.in(known, name), (had, is) -> withKeptBack(had, is, now, days));
            }
        });
        return told;
    }

    /** A session with the lessons that they were told for it and that moved or went unsaid. */
    private static ToldSession withKeptBack(
            ToldSession had, ToldSession is, SectionSchedule now, Map<String, LocalDate> days) {
        List<ToldSession.OfLesson> lessons = new ArrayList<>(had.lessons());
        lessons.removeIf(lesson -> {
            Placement placement = now.byLesson().get(lesson.id());
            LocalDate planned = placement == null || !placement.placed()
                    ? null
                    : now.sessions().get(placement.first()).date();
            LocalDate known = days.get(lesson.id());
            return known == null || known.equals(planned);
        });
        lessons.addAll(is.lessons());
        return new ToldSession(is.start(), is.end(), is.place(), lessons);
    }

    /**
     * The sessions as they are planned.
     *
     * @param days of the lessons that are named; null for all lessons but spare days
     */
    private static Map<LocalDateTime, ToldSession> planned(SectionSchedule in, @Nullable Map<String, LocalDate> days) {
        Map<Integer, List<ToldSession.OfLesson>> lessons = new HashMap<>();
        for (Placement placement : in.placements()) {
            if (!placement.placed() || placement.lesson().reserve()) {
                continue;
            }
            LocalDate first = in.sessions().get(placement.first()).date();
            if (days != null && !first.equals(days.get(placement.lesson().id()))) {
                continue;
            }
            ToldSession.OfLesson lesson = new ToldSession.OfLesson(
                    placement.lesson().id(), placement.lesson().title());
            placement
                    .slots()
                    .forEach(slot -> lessons.computeIfAbsent(slot.session(), s -> new ArrayList<>())
                            .add(lesson));
        }
        Map<LocalDateTime, ToldSession> sessions = new TreeMap<>();
        for (int k = 0; k < in.sessions().size(); k++) {
            Session session = in.sessions().get(k);
            sessions.put(
                    session.name(),
                    new ToldSession(
                            session.start(), session.end(), session.place(), lessons.getOrDefault(k, List.of())));
        }
        return sessions;
    }
}
