package app.matsuri.core.rollover;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.FileUse;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.Which;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The files of a course while it is rolled over: a moment from which students get one comes to the new term as an opening does. Where it
 * comes to no day of that term the file comes when its unit begins, so that none is given out at once.
 */
final class FilesRolled {

    private final CourseRolled in;

    FilesRolled(CourseRolled in) {
        this.in = in;
    }

    Course in(Course course) {
        Course now = course.withUnits(course.units().stream().map(this::unit).toList());
        return now.withBesides(now.besides()
                .withNotices(now.besides().notices().stream()
                        .map(notice -> notice.withFiles(files(notice.files())))
                        .toList()));
    }

    private Unit unit(Unit unit) {
        return unit.withFiles(files(unit.files()))
                .withLessons(unit.lessons().stream()
                        .map(l -> l.withDetails(
                                l.details().withFiles(files(l.details().files()))))
                        .toList())
                .withItems(unit.items().stream()
                        .map(i -> i.withDetails(
                                i.details().withFiles(files(i.details().files()))))
                        .toList());
    }

    private List<FileUse> files(List<FileUse> files) {
        return files.stream()
                .map(f -> f.from() == null ? f : f.from(there(f.from())))
                .toList();
    }

    /** Where a moment comes to by the first section's way; null for no day of the term. */
    private @Nullable LocalDateTime there(LocalDateTime from) {
        return in.ways.values().stream()
                .findFirst()
                .map(way -> way.date(from, Which.OPENS))
                .map(carried -> carried.at())
                .filter(at -> in.ways.values().iterator().next().outside(at) == null)
                .orElse(null);
    }
}
