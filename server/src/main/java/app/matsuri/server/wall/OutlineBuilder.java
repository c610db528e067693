package app.matsuri.server.wall;

import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.NoticeDates;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.server.wall.WallView.Outline;
import app.matsuri.server.wall.WallView.OutlineItem;
import app.matsuri.server.wall.WallView.OutlineLesson;
import app.matsuri.server.wall.WallView.OutlineNotice;
import app.matsuri.server.wall.WallView.OutlineUnit;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Lays a section's plan out as the outline: what has no date first, then units, lessons and their work. */
final class OutlineBuilder {

    private final SectionSchedule follows;
    private final Set<String> moved;
    private final LocalDate today;

    OutlineBuilder(SectionSchedule schedule, Set<String> moved, LocalDate today) {
        this.follows = schedule;
        this.moved = moved;
        this.today = today;
    }

    Outline outline() {
        List<OutlineItem> noDate = follows.dates().stream()
                .filter(d -> d.main() == null)
                .map(this::item)
                .toList();
        List<OutlineLesson> noSession = follows.placements().stream()
                .filter(p -> p.noSession() && !p.placed())
                .map(this::lesson)
                .toList();
        List<OutlineUnit> units = new ArrayList<>();
        for (Unit unit : follows.course().units()) {
            units.add(unit(unit, units.size()));
        }
        return new Outline(noDate, noSession, units, notices(null));
    }

    private OutlineUnit unit(Unit unit, int number) {
        LocalDate first = null;
        LocalDate last = null;
        List<OutlineLesson> lessons = new ArrayList<>();
        for (Lesson lesson : unit.lessons()) {
            Placement placement = follows.placement(lesson.id());
            lessons.add(lesson(placement));
            if (placement.placed()) {
                LocalDate from = follows.sessions().get(placement.first()).date();
                LocalDate to = follows.sessions().get(placement.last()).date();
                first = first == null || from.isBefore(first) ? from : first;
                last = last == null || to.isAfter(last) ? to : last;
            }
        }
        List<OutlineItem> loose = items(unit, null);
        return new OutlineUnit(
                unit.id(),
                unit.code(),
                unit.title(),
                number,
                unit.colour(),
                first,
                last,
                unit.startsWeek(),
                unit.draft() ? true : null,
                lessons,
                loose,
                notices(unit.id()));
    }

    /** The course's own notices of a unit; of none where null. */
    private List<OutlineNotice> notices(@Nullable String unit) {
        return follows.notices().stream()
                .filter(n -> n.own(follows) && Objects.equals(n.notice().unit(), unit))
                .map(this::notice)
                .toList();
    }

    private OutlineNotice notice(NoticeDates dates) {
        Notice notice = dates.notice();
        List<LocalDateTime> begins = dates.entries().stream()
                .filter(NoticeDates.Entry::resolved)
                .map(NoticeDates.Entry::begins)
                .toList();
        LocalDateTime next = begins.stream()
                .filter(b -> !b.toLocalDate().isBefore(today))
                .findFirst()
                .orElse(begins.isEmpty() ? null : begins.get(begins.size() - 1));
        return new OutlineNotice(
                notice.id(),
                notice.unit(),
                notice.title(),
                next,
                notice.when(follows.section().code()).series(),
                begins.size(),
                notice.reach() == Notice.Reach.OWN,
                moved.contains("notice " + notice.id()));
    }

    private OutlineLesson lesson(Placement placement) {
        Lesson lesson = placement.lesson();
        String state = placement.leftOut()
                ? "left-out"
                : placement.taught()
                        ? "taught"
                        : placement.noSession()
                                ? "no-session"
                                : placement.slots().stream().anyMatch(Placement.Slot::taught) ? "partly" : "planned";
        return new OutlineLesson(
                lesson.id(),
                placement.unit().id(),
                lesson.title(),
                state,
                placement.placed() ? follows.sessions().get(placement.first()).date() : null,
                follows.section().length(lesson),
                follows.section().pin(lesson),
                lesson.optional(),
                lesson.reserve(),
                moved.contains("lesson " + lesson.id()),
                items(placement.unit(), lesson.id()));
    }

    private List<OutlineItem> items(Unit unit, @Nullable String lesson) {
        return follows.dates().stream()
                .filter(d -> d.unit().id().equals(unit.id())
                        && Objects.equals(d.item().lesson(), lesson))
                .map(this::item)
                .toList();
    }

    private OutlineItem item(ItemDates dates) {
        var item = dates.item();
        return new OutlineItem(
                item.id(),
                item.title(),
                item.kind(),
                item.marking(),
                dates.main(),
                dates.unit().id(),
                item.lesson(),
                item.details().within(),
                item.minutes(),
                item.locked(),
                dates.draft() ? true : null,
                moved.contains("due " + item.id()));
    }
}
