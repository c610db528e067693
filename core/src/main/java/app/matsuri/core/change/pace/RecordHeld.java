package app.matsuri.core.change.pace;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Taught up to here: records every class without a record as held as planned. Classes held empty, paused, or without a lesson get
 * no record. A lesson that goes on behind the last of them is partly taught.
 *
 * @param section code of the section; null for all of the course
 * @param from the first day, inclusive; null for the beginning
 * @param until the last day, inclusive
 * @param over only classes that ended by this moment count, in the term's zone; null for all
 */
public record RecordHeld(
        String course,
        @Nullable String section,
        @Nullable LocalDate from,
        LocalDate until,
        @Nullable LocalDateTime over)
        implements Change {

    /** The same when it is asked for at a moment: classes that are not over then do not count. */
    @Override
    public RecordHeld at(LocalDateTime moment) {
        return new RecordHeld(course, section, from, until, over == null || moment.isBefore(over) ? moment : over);
    }

    @Override
    public Outcome apply(Decisions before) {
        if (section != null) {
            Find.section(before, course, section);
        }
        Course in = Find.course(before, course);
        int recorded = 0;
        for (SectionSchedule schedule :
                Schedule.of(before.withCourses(List.of(in))).sections()) {
            Map<LocalDateTime, List<String>> classes = classes(schedule);
            if (!classes.isEmpty()) {
                in = in.withSection(recorded(schedule));
                recorded += classes.size();
            }
        }
        if (recorded == 0) {
            throw new Refused("There is nothing to record up to " + Say.day(until) + " in " + name()
                    + ": every class with a lesson that is over has a record.");
        }
        return Outcome.of(before.withCourse(in));
    }

    private boolean concerns(SectionSchedule in) {
        return in.course().code().equals(course)
                && (section == null || in.section().code().equals(section));
    }

    private boolean meant(Session session) {
        return !session.record()
                && session.open()
                && !session.date().isAfter(until)
                && (from == null || !session.date().isBefore(from))
                && (over == null || !session.end().isAfter(over));
    }

    /** By name, the classes of the section that get a record, and the lessons in it, in order of time. */
    public Map<LocalDateTime, List<String>> classes(SectionSchedule in) {
        Map<LocalDateTime, List<String>> classes = new LinkedHashMap<>();
        if (!concerns(in)) {
            return classes;
        }
        Map<LocalDateTime, List<String>> planned = in.lessonsBySession();
        for (Session session : in.sessions().all()) {
            if (meant(session) && planned.containsKey(session.name())) {
                classes.put(session.name(), planned.get(session.name()));
            }
        }
        return classes;
    }

    /** The section with those records. */
    Section recorded(SectionSchedule in) {
        Recording recording = new Recording(in);
        classes(in)
                .forEach((name, lessons) ->
                        recording.record(in.sessions().indexOf(name).orElseThrow(), lessons));
        return recording.section();
    }

    @Override
    public String sentence(Decisions before) {
        List<String> parts = new ArrayList<>();
        Find.course(before, course);
        for (SectionSchedule in : Schedule.of(before.withCourses(List.of(Find.course(before, course))))
                .sections()) {
            Map<LocalDateTime, List<String>> classes = classes(in);
            if (!classes.isEmpty()) {
                parts.add(said(in, classes));
            }
        }
        return "Record " + (parts.isEmpty() ? "what was held up to " + Say.day(until) : String.join(", ", parts))
                + " as held as planned";
    }

    /** "15 classes of A up to Mon 5 Oct". */
    static String said(SectionSchedule in, Map<LocalDateTime, List<String>> classes) {
        LocalDate last = classes.keySet().stream()
                .map(name -> in.sessions()
                        .get(in.sessions().indexOf(name).orElseThrow())
                        .date())
                .max(Comparator.naturalOrder())
                .orElseThrow();
        return Say.classes(classes.size()) + " of " + in.section().code() + " up to " + Say.day(last);
    }

    private String name() {
        return course + (section == null ? "" : " " + section);
    }
}
