package app.matsuri.core.runlist;

import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.DayNote;
import app.matsuri.core.plan.FileUse;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.NoticeDates;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A class as whoever takes it needs it: as it is planned, told or not, with what is private but no person's name.
 *
 * @param title of the course
 * @param end exclusive
 * @param place may be empty
 * @param link to the meeting; may be empty
 * @param students how many stand on the roster
 * @param work that is due, opens or closes on its day, in order of time
 * @param notices of its day, titles with their words
 * @param words on the day, private ones too
 */
public record RunClass(
        SectionRef section,
        String title,
        LocalDateTime start,
        LocalDateTime end,
        String place,
        String link,
        int students,
        List<Part> parts,
        List<Work> work,
        List<Notice> notices,
        List<String> words) {

    /**
     * A lesson, or one part of it.
     *
     * @param id of the lesson
     * @param part which of its sessions it is, from 1
     * @param of how many it has
     * @param notes private; may be empty
     */
    public record Part(
            String unit,
            String unitCode,
            String id,
            String lesson,
            int part,
            int of,
            List<TimedStep> steps,
            List<Link> links,
            List<FileUse> files,
            String notes) {}

    /**
     * Work with a date on its day.
     *
     * @param handIn "file", "paper" or "nothing"; empty where not said
     */
    public record Work(String title, Which which, LocalDateTime at, String handIn, String handInPlace) {}

    /** A notice. */
    public record Notice(String title, String text, String place) {}

    public RunClass {
        parts = List.copyOf(parts);
        work = List.copyOf(work);
        notices = List.copyOf(notices);
        words = List.copyOf(words);
    }

    /** The classes of a section on a day, in order of time. */
    public static List<RunClass> of(SectionSchedule in, LocalDate day) {
        List<RunClass> classes = new ArrayList<>();
        List<Session> sessions = in.sessions().all();
        for (int k = 0; k < sessions.size(); k++) {
            Session session = sessions.get(k);
            if (session.date().equals(day) && session.origin() != Session.Origin.BEAT) {
                classes.add(new RunClass(
                        in.ref(),
                        in.course().title(),
                        session.start(),
                        session.end(),
                        session.place(),
                        session.link(),
                        in.section().students().size(),
                        parts(in, k),
                        work(in, day),
                        notices(in, day),
                        in.course().besides().dayNotes().stream()
                                .filter(n -> n.date().equals(day)
                                        && n.concerns(in.section().code()))
                                .map(DayNote::text)
                                .toList()));
            }
        }
        classes.sort(Comparator.comparing(RunClass::start));
        return classes;
    }

    private static List<Part> parts(SectionSchedule in, int session) {
        List<Part> parts = new ArrayList<>();
        int after = 0;
        for (Placement placement : in.placements()) {
            for (int slot = 0; slot < placement.slots().size(); slot++) {
                if (placement.slots().get(slot).session() == session) {
                    Lesson lesson = placement.lesson();
                    List<TimedStep> steps = TimedStep.of(in, placement, slot, after);
                    parts.add(new Part(
                            placement.unit().id(),
                            placement.unit().code(),
                            lesson.id(),
                            lesson.title(),
                            slot + 1,
                            placement.slots().size(),
                            steps,
                            lesson.details().links(),
                            lesson.details().files(),
                            lesson.notes()));
                    after += steps.stream().mapToInt(TimedStep::minutes).sum();
                }
            }
        }
        return parts;
    }

    private static List<Work> work(SectionSchedule in, LocalDate day) {
        List<Work> work = new ArrayList<>();
        for (ItemDates dates : in.dates()) {
            for (Which which : Which.values()) {
                LocalDateTime at = dates.at(which);
                if (at != null && at.toLocalDate().equals(day)) {
                    Item item = dates.item();
                    work.add(new Work(
                            item.title(),
                            which,
                            at,
                            item.details().handIn(),
                            item.details().handInPlace()));
                }
            }
        }
        work.sort(Comparator.comparing(Work::at));
        return work;
    }

    private static List<Notice> notices(SectionSchedule in, LocalDate day) {
        List<Notice> notices = new ArrayList<>();
        for (NoticeDates dates : in.notices()) {
            if (dates.entries().stream().anyMatch(e -> e.covers(day))) {
                notices.add(new Notice(
                        dates.notice().title(),
                        dates.notice().text(),
                        dates.notice().place()));
            }
        }
        return notices;
    }

    /** Whether it runs at a moment. */
    public boolean runs(LocalDateTime at) {
        return !at.isBefore(start) && at.isBefore(end);
    }

    /** The step that runs at a moment; empty where none does. */
    public Optional<TimedStep> step(LocalDateTime at) {
        return parts.stream()
                .flatMap(p -> p.steps().stream())
                .filter(s -> s.runs(at))
                .findFirst();
    }
}
