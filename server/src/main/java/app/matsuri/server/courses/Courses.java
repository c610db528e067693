package app.matsuri.server.courses;

import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.server.change.ViewPart;
import app.matsuri.server.clock.Today;
import app.matsuri.server.courses.TermLanes.CourseLane;
import app.matsuri.server.courses.TermLanes.CourseUnit;
import app.matsuri.server.history.History;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.wall.WallBuilder;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Lays the sections of a term out for all courses at once. */
@Component
class Courses implements ViewPart<TermLanes> {

    private final History history;
    private final Today today;

    Courses(History history, Today today) {
        this.history = history;
        this.today = today;
    }

    @Override
    public String view() {
        return "courses";
    }

    @Override
    public String field() {
        return "courses";
    }

    @Override
    public Class<TermLanes> type() {
        return TermLanes.class;
    }

    @Override
    public TermLanes part(Asked asked) {
        Stored stored = asked.stored();
        Decisions decisions = asked.decisions();
        LocalDate day = today.in(decisions.term().zone());
        History.Ends ends = history.ends(stored);
        return new TermLanes(
                stored.termId(),
                stored.version(),
                decisions.term().name(),
                decisions.term().first(),
                decisions.term().last(),
                ends.undo().map(History.Line::sentence).orElse(null),
                ends.redo().map(History.Line::sentence).orElse(null),
                asked.schedule().sections().stream()
                        .map(in -> lane(asked, in, day))
                        .toList());
    }

    /** How a section is named among all of a person's. */
    static String key(long termId, SectionSchedule in) {
        return termId + "/" + in.key();
    }

    private static CourseLane lane(Asked asked, SectionSchedule in, LocalDate day) {
        List<CourseUnit> units = new ArrayList<>();
        for (Unit unit : in.course().units()) {
            units.add(new CourseUnit(unit.id(), unit.code(), unit.title(), units.size(), unit.colour()));
        }
        return new CourseLane(
                key(asked.stored().termId(), in),
                in.course().code(),
                in.course().title(),
                in.section().code(),
                in.course().weekLimit(),
                units,
                new WallBuilder(asked.decisions(), asked.schedule(), in, day, asked.proposal()).filled());
    }
}
