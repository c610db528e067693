package app.matsuri.core.change;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Dated;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Finds what a change or a question names. Each throws {@link NoSuch} where it is not there. */
public final class Find {

    private Find() {}

    public static Course course(Decisions in, String code) {
        return in.course(code).orElseThrow(() -> NoSuch.course(code));
    }

    /** What follows for a section. */
    public static SectionSchedule section(Schedule schedule, String course, String code) {
        return schedule.section(course, code).orElseThrow(() -> NoSuch.in(course, "section", code));
    }

    /** What follows for a section by its key, "HYD 210/A". */
    public static SectionSchedule section(Schedule schedule, String key) {
        return schedule.sections().stream()
                .filter(s -> s.key().equals(key))
                .findFirst()
                .orElseThrow(() -> NoSuch.in("this term", "section", key));
    }

    public static Section section(Decisions in, String course, String code) {
        return course(in, course).section(code).orElseThrow(() -> NoSuch.in(course, "section", code));
    }

    public static Unit unit(Decisions in, String course, String id) {
        return course(in, course).unit(id).orElseThrow(() -> NoSuch.in(course, "unit", id));
    }

    public static Lesson lesson(Decisions in, String course, String id) {
        return course(in, course).lesson(id).orElseThrow(() -> NoSuch.in(course, "lesson", id));
    }

    public static Item item(Decisions in, String course, String id) {
        return course(in, course).item(id).orElseThrow(() -> NoSuch.in(course, "item", id));
    }

    public static Notice notice(Decisions in, String course, String id) {
        return course(in, course).notice(id).orElseThrow(() -> NoSuch.in(course, "notice", id));
    }

    public static Rhythm rhythm(Decisions in, String course, String id) {
        return course(in, course).rhythm(id).orElseThrow(() -> NoSuch.in(course, "rhythm", id));
    }

    public static OfficeHours officeHours(Decisions in, String id) {
        return in.officeHours(id).orElseThrow(() -> NoSuch.officeHours(id));
    }

    /** A notice as what a hand moves: notices and work may have the same id. */
    public static Hand hand(String course, String notice) {
        return new Hand(course, Hand.notice(notice));
    }

    /** Work or a notice, by its key. */
    public static Dated dated(Decisions in, String course, String key) {
        return Dated.find(course(in, course), key).orElseThrow(() -> NoSuch.in(course, "item", key));
    }

    /** Likewise, as what a hand moves. */
    public static Hand hand(Decisions in, String course, String key) {
        return dated(in, course, key).on(new Dated.Cases<>() {
            @Override
            public Hand item(Item item) {
                return new Hand(course, item.id());
            }

            @Override
            public Hand notice(Notice notice) {
                return Find.hand(course, notice.id());
            }
        });
    }

    /** What follows for the section, or for the course's first one where none is named. */
    public static SectionSchedule follows(Decisions in, String course, @Nullable String section) {
        Course found = course(in, course);
        if (section != null) {
            section(in, course, section);
        } else if (found.sections().isEmpty()) {
            throw new Refused("“" + course + "” has no section yet: add one, so that there are classes to move by.");
        }
        String code = section == null ? found.sections().get(0).code() : section;
        return Schedule.of(in.withCourses(List.of(found))).section(course, code).orElseThrow();
    }

    /** ", section A" or "" for the whole plan. */
    public static String in(String course, @Nullable String section) {
        return section == null ? " in every section of " + course : " in " + course + " " + section;
    }
}
