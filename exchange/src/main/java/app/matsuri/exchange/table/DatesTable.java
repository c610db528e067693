package app.matsuri.exchange.table;

import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import app.matsuri.exchange.file.Csv;
import app.matsuri.exchange.plan.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;

/** Every computed date of a plan as a table: RFC 4180 CSV, lines ending in CRLF. */
public final class DatesTable {

    private DatesTable() {}

    /** Writes the table in the order of the file: course, section, unit, the unit's lessons, then its items. */
    public static void write(Decisions decisions, Schedule schedule, Writer out) {
        try (Csv csv = Csv.to(out)) {
            csv.row("course", "section", "what", "id", "title", "starts", "ends", "state");
            for (Course course : decisions.courses()) {
                for (Section section : course.sections()) {
                    SectionSchedule follows =
                            schedule.section(course.code(), section.code()).orElseThrow();
                    for (Unit unit : course.units()) {
                        unit.lessons().forEach(lesson -> lesson(csv, follows, lesson));
                        unit.items().forEach(item -> item(csv, follows, item));
                    }
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void lesson(Csv csv, SectionSchedule schedule, Lesson lesson) {
        Placement placement = schedule.placement(lesson.id());
        if (placement.leftOut()) {
            return;
        }
        for (Placement.Slot slot : placement.slots()) {
            Session session = schedule.sessions().get(slot.session());
            row(
                    csv,
                    schedule,
                    "lesson",
                    lesson.id(),
                    lesson.title(),
                    Words.moment(session.start()),
                    Words.moment(session.end()),
                    slot.taught() ? "taught" : "ok");
        }
        if (placement.noSession()) {
            row(csv, schedule, "lesson", lesson.id(), lesson.title(), "", "", "no-session");
        }
    }

    private static void item(Csv csv, SectionSchedule schedule, Item item) {
        ItemDates dates = schedule.byItem().get(item.id());
        for (Which which : Which.values()) {
            Resolved date = dates == null ? null : dates.get(which);
            if (date != null) {
                row(
                        csv,
                        schedule,
                        Words.word(which),
                        item.id(),
                        item.title(),
                        Words.moment(date.at()),
                        "",
                        date.state());
            }
        }
    }

    private static void row(
            Csv csv,
            SectionSchedule schedule,
            String what,
            String id,
            String title,
            String starts,
            String ends,
            String state) {
        csv.row(schedule.course().code(), schedule.section().code(), what, id, title, starts, ends, state);
    }
}
