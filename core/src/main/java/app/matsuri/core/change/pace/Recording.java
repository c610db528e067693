package app.matsuri.core.change.pace;

import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.OwnLesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Timetable;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Records of what the classes of a section held. A lesson of which more is planned behind the class goes on; by minutes, it is
 * kept how many it had.
 */
public final class Recording {

    private final SectionSchedule in;
    private final Map<LocalDateTime, List<String>> taught;
    private final Set<String> partly;
    private final Map<String, Integer> had;

    Recording(SectionSchedule in) {
        this.in = in;
        taught = new LinkedHashMap<>(in.section().taught());
        partly = new LinkedHashSet<>(in.section().lessonsWhere(OwnLesson::partly));
        had = new LinkedHashMap<>(in.section().ofLessons(OwnLesson::minutesHad));
    }

    /** Records a class as planned; with no lesson, that nothing of the plan was reached. */
    void record(int session, List<String> lessons) {
        for (String id : lessons) {
            lesson(session, id);
        }
        taught.put(in.sessions().get(session).name(), List.copyOf(lessons));
    }

    /** Of a lesson more is to come than was planned. */
    void goesOn(String lesson) {
        if (partly.add(lesson)) {
            had.remove(lesson);
        }
    }

    /** Nothing more of a lesson is to come. */
    void ends(String lesson) {
        partly.remove(lesson);
        had.remove(lesson);
    }

    /** The section with the records. */
    Section section() {
        Section section = in.section().withTaught(taught, partly);
        for (String lesson : partly) {
            section = section.withMinutesHad(lesson, had.get(lesson));
        }
        return section;
    }

    private void lesson(int session, String id) {
        Placement placement = in.placement(id);
        Lesson lesson = placement.lesson();
        int usual = in.course().usualMinutes();
        boolean minutes = in.section().pace() == Section.Pace.MINUTES && !lesson.reserve();
        Placement.Slot here = placement.slots().stream()
                .filter(s -> s.session() == session)
                .findFirst()
                .orElse(null);
        boolean more;
        if (here != null && here.taught()) {
            more = partly.contains(id);
        } else if (here != null) {
            more = placement.slots().stream().anyMatch(s -> !s.taught() && s.session() > session);
            had.put(id, before(lesson) + here.minutes());
        } else {
            int total = before(lesson) + in.sessions().get(session).minutes();
            more = minutes
                    ? in.section().length(lesson) * usual - total >= Timetable.LEAST_MINUTES
                    : in.section().length(lesson) > classes(id) + 1;
            had.put(id, total);
        }
        if (more) {
            partly.add(id);
            if (!minutes) {
                had.remove(id);
            }
        } else {
            ends(id);
        }
    }

    /** How many classes have a record of the lesson. */
    private int classes(String lesson) {
        return (int)
                taught.values().stream().filter(ids -> ids.contains(lesson)).count();
    }

    /** By minutes, how many the lesson had so far. */
    private int before(Lesson lesson) {
        if (had.containsKey(lesson.id())) {
            return had.get(lesson.id());
        }
        int classes = classes(lesson.id());
        int usual = in.course().usualMinutes();
        return classes == 0
                ? 0
                : in.section().length(lesson) * usual - in.section().minutesLeft(lesson, classes, usual);
    }
}
