package app.matsuri.bench;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Offset;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.session.MeetingPattern;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;

/** Plans of a given size: a school year, courses of two sections, 180 lessons each, and items spread over them. */
public final class Sizes {

    private Sizes() {}

    /**
     * @param courses how many courses, each with two sections that meet every weekday
     * @param items how many items in all
     */
    public static Decisions plan(int courses, int items) {
        Term term = Term.of("Year", LocalDate.of(2026, 8, 24), LocalDate.of(2027, 5, 7), ZoneId.of("America/Chicago"));
        List<Course> all = new ArrayList<>();
        for (int c = 0; c < courses; c++) {
            List<Unit> units = new ArrayList<>();
            for (int u = 0; u < 36; u++) {
                List<Lesson> lessons = new ArrayList<>();
                for (int l = 0; l < 5; l++) {
                    lessons.add(Lesson.of("L" + u + "." + l, "Lesson", 1));
                }
                units.add(new Unit(
                        "U" + u,
                        "U" + u,
                        "Unit",
                        false,
                        false,
                        null,
                        "",
                        java.util.Map.of(),
                        lessons,
                        List.of(),
                        Extra.NONE));
            }
            for (int i = 0; i < items / courses; i++) {
                int u = i % 36;
                DateRule due = DateRule.of(new Anchor.WithLesson("L" + u + "." + i % 5, Edge.END))
                        .plus(1 + i % 4, i % 2 == 0 ? Offset.Unit.TEACHING_DAYS : Offset.Unit.SESSIONS);
                List<Item> more = new ArrayList<>(units.get(u).items());
                more.add(Item.of("I" + i, null, "homework", "Work", due));
                units.set(u, units.get(u).withItems(more));
            }
            List<MeetingPattern> meets =
                    List.of(MeetingPattern.of("FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR", LocalTime.of(9, 0), 50));
            all.add(Course.of(
                    "C" + c,
                    "Course",
                    50,
                    List.of(
                            Section.of("A", Section.Pace.SESSIONS, meets),
                            Section.of("B", Section.Pace.MINUTES, meets)),
                    units));
        }
        return Decisions.of(term, all);
    }
}
