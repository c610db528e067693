package app.matsuri.core.shown;

import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.ToldSession;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.TreeMap;

/** Makes the sessions that are shown from those that were told. */
final class ShowingSessions {

    private final SectionSchedule in;
    private final Told told;
    /** Whether it is for a teacher, who sees the link to a meeting at any time. */
    private final boolean teacher;

    private final LocalDateTime now;
    private final Map<String, Unit> unitOfLesson = new HashMap<>();
    private final Map<String, Lesson> lessons = new HashMap<>();

    ShowingSessions(SectionSchedule in, Told told, boolean teacher, LocalDateTime now) {
        this.in = in;
        this.told = told;
        this.teacher = teacher;
        this.now = now;
        for (Unit unit : in.course().units()) {
            for (Lesson lesson : unit.lessons()) {
                unitOfLesson.put(lesson.id(), unit);
                lessons.put(lesson.id(), lesson);
            }
        }
    }

    /** In order of time; where days alone were told, a day each. */
    List<ShownSession> sessions() {
        return told.sessions().isEmpty() ? daysAlone() : timed();
    }

    private List<ShownSession> timed() {
        List<Map.Entry<LocalDateTime, ToldSession>> inOrder = told.sessions().entrySet().stream()
                .sorted(Comparator.comparing(e -> e.getValue().start()))
                .toList();
        Map<String, Integer> of = new HashMap<>();
        inOrder.forEach(e -> e.getValue().lessons().forEach(l -> of.merge(l.id(), 1, Integer::sum)));
        Map<String, Integer> had = new HashMap<>();
        List<ShownSession> sessions = new ArrayList<>();
        for (Map.Entry<LocalDateTime, ToldSession> entry : inOrder) {
            LocalDateTime name = entry.getKey();
            ToldSession session = entry.getValue();
            List<ShownSession.Part> parts = session.lessons().stream()
                    .map(l -> part(l.id(), l.title(), had.merge(l.id(), 1, Integer::sum), of.getOrDefault(l.id(), 1)))
                    .toList();
            sessions.add(new ShownSession(
                    name, session.start(), session.end(), session.place(), link(name, session), parts, added(name)));
        }
        return sessions;
    }

    private List<ShownSession> daysAlone() {
        Map<LocalDate, List<ShownSession.Part>> days = new TreeMap<>();
        told.lessons()
                .forEach((id, day) ->
                        days.computeIfAbsent(day, d -> new ArrayList<>()).add(part(id, "", 1, 1)));
        List<ShownSession> sessions = new ArrayList<>();
        days.forEach((day, parts) ->
                sessions.add(new ShownSession(day.atStartOfDay(), day.atStartOfDay(), null, "", "", parts, List.of())));
        return sessions;
    }

    private ShownSession.Part part(String id, String title, int part, int of) {
        Lesson lesson = lessons.get(id);
        Unit unit = unitOfLesson.get(id);
        return new ShownSession.Part(
                id,
                lesson == null ? title : lesson.title(),
                unit == null ? null : unit.id(),
                unit == null ? 0 : unit.lessons().indexOf(lesson) + 1,
                part,
                of);
    }

    private List<Link> added(LocalDateTime name) {
        return in.section().sessionLinks().getOrDefault(name, List.of());
    }

    /** The link to the meeting, where it may stand there now. */
    private String link(LocalDateTime name, ToldSession session) {
        boolean around = in.course().besides().publishing().linkAroundClass() && !teacher;
        boolean now =
                !this.now.isBefore(session.start().toLocalDate().minusDays(1).atStartOfDay())
                        && this.now.isBefore(session.end());
        OptionalInt at = in.sessions().indexOf(name);
        return at.isPresent() && (!around || now)
                ? in.sessions().get(at.getAsInt()).link()
                : "";
    }
}
