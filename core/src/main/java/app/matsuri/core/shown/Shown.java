package app.matsuri.core.shown;

import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.Telling;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.Untold;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What a reader sees of a section at a moment: every date, day, session and lesson is as the section was told, never as it is planned;
 * words, links and files are as they stand. Nothing of it is private, and nothing is hidden still.
 *
 * @param title of the course
 * @param instructor who teaches it; may be empty
 * @param begun whether anything was told; where not, there is nothing else in it
 * @param upTo the last day whose dates were told; null for all of the term
 * @param now the moment, in the term's zone
 * @param until the next moment at which something else may be seen without anybody doing anything; no later than the next midnight
 * @param told when something was told last; null where it is not known
 * @param tellings how often something was told
 * @param sessions in order of time
 * @param things in order of their main dates
 * @param notices in order of time
 * @param moves the newest telling first
 * @param units those that have begun, in the order of the plan
 * @param weeks those of the term, in order
 */
public record Shown(
        SectionRef section,
        String title,
        String instructor,
        boolean begun,
        @Nullable LocalDate upTo,
        LocalDateTime now,
        LocalDateTime until,
        @Nullable LocalDateTime told,
        int tellings,
        List<ShownSession> sessions,
        List<ShownThing> things,
        List<ShownNotice> notices,
        List<ShownMove> moves,
        List<ShownUnit> units,
        List<ShownWeek> weeks) {

    public Shown {
        sessions = List.copyOf(sessions);
        things = List.copyOf(things);
        notices = List.copyOf(notices);
        moves = List.copyOf(moves);
        units = List.copyOf(units);
        weeks = List.copyOf(weeks);
    }

    /**
     * What a reader sees of a section.
     *
     * @param schedule of the whole term, since courses share work and notices
     * @param now in the term's zone
     */
    public static Shown of(Schedule schedule, SectionSchedule in, Reader reader, LocalDateTime now) {
        Told told = in.section().told();
        return told.begun() ? of(schedule, in, told, false, reader, now) : nothing(in, now);
    }

    /** What a section is as it is planned, told or not, for who teaches it: what is hidden from students too. */
    public static Shown planned(Schedule schedule, SectionSchedule in, LocalDateTime now) {
        Told planned = Untold.after(in, Untold.differing(in, null), null, null, "");
        return of(schedule, in, planned, true, Reader.CLASS, now);
    }

    private static Shown nothing(SectionSchedule in, LocalDateTime now) {
        return new Shown(
                in.ref(),
                in.course().title(),
                in.section().instructor(),
                false,
                null,
                now,
                now.toLocalDate().plusDays(1).atStartOfDay(),
                null,
                0,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of());
    }

    private static Shown of(
            Schedule schedule, SectionSchedule in, Told told, boolean teacher, Reader reader, LocalDateTime now) {
        Showing showing = new Showing(schedule, in, told, teacher, reader, now);
        List<ShownSession> sessions = showing.sessions();
        List<ShownThing> things = showing.things();
        List<ShownNotice> notices = showing.notices();
        return new Shown(
                in.ref(),
                in.course().title(),
                in.section().instructor(),
                true,
                told.upTo(),
                now,
                showing.until(),
                told.tellings().stream()
                        .map(Telling::at)
                        .filter(Objects::nonNull)
                        .reduce((a, b) -> b)
                        .orElse(null),
                told.tellings().size(),
                sessions,
                things,
                notices,
                showing.moves(),
                showing.units(sessions, things),
                ShownWeeks.of(in, told.upTo(), teacher, sessions, things, notices));
    }

    /** The day of the moment. */
    public LocalDate today() {
        return now.toLocalDate();
    }

    /** The number of the week that the moment lies in: before the term its first, after it its last; 0 where there are none. */
    public int currentWeek() {
        return weeks.stream()
                .filter(week -> !week.first().isAfter(today()))
                .reduce((a, b) -> b)
                .or(() -> weeks.stream().findFirst())
                .map(ShownWeek::number)
                .orElse(0);
    }

    /** The week of a number; empty for none. */
    public Optional<ShownWeek> week(int number) {
        return weeks.stream().filter(week -> week.number() == number).findFirst();
    }

    /** What was due, is still taken and is not known to be handed in: what shuts first, then what was due last. */
    public List<ShownThing> missed() {
        return things.stream()
                .filter(thing -> thing.missed(now))
                .sorted(Comparator.comparing((ShownThing thing) ->
                                Optional.ofNullable(thing.at(Which.CLOSES)).orElse(LocalDateTime.MAX))
                        .thenComparing(ShownThing::main, Comparator.reverseOrder()))
                .toList();
    }

    /** What is to be done and has opened, in order of its dates. */
    public List<ShownThing> toDo() {
        return things.stream().filter(t -> t.ahead(now) && t.open()).toList();
    }

    /** What is to be done and has not opened yet, likewise. */
    public List<ShownThing> later() {
        return things.stream().filter(t -> t.ahead(now) && !t.open()).toList();
    }

    /** Every file that may be had. */
    public Stream<ShownFile> files() {
        return Stream.of(
                        things.stream().flatMap(thing -> thing.files().stream()),
                        notices.stream().flatMap(notice -> notice.files().stream()),
                        units.stream()
                                .flatMap(unit -> unit.materials().stream())
                                .flatMap(m -> m.files().stream()))
                .flatMap(Function.identity());
    }

    /** Whether the unit of an id has begun. */
    public boolean begun(@Nullable String unit) {
        return units.stream().anyMatch(u -> u.id().equals(unit));
    }

    /** The session that runs, else the next one; empty when none is to come. */
    public Optional<ShownSession> next() {
        return sessions.stream().filter(session -> !session.over(now)).findFirst();
    }
}
