package app.matsuri.core.shown;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.plan.FileUse;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Which files may be had by now. */
final class Released {

    private final SectionSchedule in;
    private final Told told;
    private final LocalDateTime now;

    /** @param told what is shown of the section, in place of what is stored as told */
    Released(SectionSchedule in, Told told, LocalDateTime now) {
        this.in = in;
        this.told = told;
        this.now = now;
    }

    /** The files that may be had now: those that are published, from their own moment on or with the thing. */
    List<ShownFile> files(List<FileUse> files, boolean open, @Nullable Unit unit, SectionSchedule from) {
        return files.stream()
                .filter(FileUse::publish)
                .filter(file -> released(file, open, unit, from))
                .map(file -> new ShownFile(file.file(), file.name()))
                .toList();
    }

    /**
     * Whether a file may be had now.
     *
     * @param unit that it comes with; one without lessons holds nothing back
     * @param from the section whose classes it comes with
     */
    private boolean released(FileUse file, boolean open, @Nullable Unit unit, SectionSchedule from) {
        if (file.from() != null) {
            return !file.from().isAfter(now);
        }
        if (FileUse.UNIT.equals(file.with())) {
            return unit == null || unit.lessons().isEmpty()
                    ? open
                    : unit.lessons().stream().anyMatch(lesson -> begun(told(from), lesson.id()));
        }
        // a lesson that is gone holds nothing back
        boolean held = file.with() != null && from.course().lesson(file.with()).isPresent();
        return held ? begun(told(from), Known.there(file.with(), "a lesson")) : open;
    }

    /** Whether the first class that was told of a lesson has begun. */
    private boolean begun(Told told, String lesson) {
        if (told.sessions().isEmpty()) {
            LocalDate day = told.lessons().get(lesson);
            return day != null && !day.isAfter(now.toLocalDate());
        }
        return told.sessions().values().stream()
                .filter(session -> session.lessons().stream().anyMatch(l -> l.id().equals(lesson)))
                .anyMatch(session -> !session.start().isAfter(now));
    }

    /** What a section was told: of the one that is shown, what is shown of it. */
    Told told(SectionSchedule of) {
        return of == in ? told : of.section().told();
    }
}
