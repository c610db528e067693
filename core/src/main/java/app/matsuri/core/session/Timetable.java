package app.matsuri.core.session;

import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.session.Session.Origin;
import app.matsuri.core.session.Sessions.Lost;
import app.matsuri.core.session.Sessions.Note;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Works out the sessions of one section: patterns and swapped days within the term, then the session changes in
 * their order, then whole-day and part-day closures on what still stands where its pattern put it.
 *
 * @param course code of the course, for the scope of closures
 * @param section code of the section
 * @param beat the beat of a section without meetings; null where it meets
 * @param held names of sessions held empty
 * @param recorded names of sessions with a record of what was taught: they stand whatever closes or cancels them
 */
public record Timetable(
        String course,
        String section,
        List<MeetingPattern> patterns,
        @Nullable Beat beat,
        List<SessionChange> changes,
        Set<LocalDateTime> held,
        Set<LocalDateTime> recorded) {

    /** Less than this many minutes are no class, no beginning of a lesson, and nothing that a lesson still lacks. */
    public static final int LEAST_MINUTES = 10;

    /** The sessions within the calendar's term. */
    public Sessions sessions(TeachingCalendar calendar) {
        Drafts drafts = new Drafts();
        DaysOff daysOff = new DaysOff(calendar.term(), course, section, drafts, recorded);
        if (patterns.isEmpty() && beat != null) {
            new Beats(calendar, daysOff, drafts).of(beat);
        }
        patterns.forEach(new Meetings(calendar, drafts)::of);
        ChangesMade made = new ChangesMade(drafts, daysOff, recorded);
        changes.forEach(change -> change.on(made));
        drafts.all.forEach(daysOff::close);
        Set<LocalDateTime> missing = new HashSet<>(held);
        missing.addAll(recorded);
        missing.stream()
                .filter(name -> !drafts.has(name))
                .sorted()
                .forEach(name -> drafts.note(Note.Kind.NAMES_NO_SESSION, name, "a hold or a record names no class"));
        List<Session> all = new ArrayList<>(drafts.all.size());
        for (Draft draft : drafts.all) {
            if (!draft.cancelled) {
                all.add(session(draft, daysOff, calendar.term()));
            }
        }
        all.sort(Comparator.comparing(Session::start)); // stable: ties stay in the order of the file
        for (int i = 1; i < all.size(); i++) {
            if (all.get(i).start().isBefore(all.get(i - 1).end()) && all.get(i).origin() != Origin.BEAT) {
                drafts.note(Note.Kind.OVERLAP, all.get(i).name(), "overlaps the class before it");
            }
        }
        drafts.lost.sort(Comparator.comparing(Lost::name));
        Set<LocalDateTime> gone = new HashSet<>();
        drafts.lost.forEach(l -> gone.add(l.name()));
        List<LocalDateTime> cancelled = drafts.all.stream()
                .filter(d -> d.cancelled && !gone.contains(d.name))
                .map(d -> d.name)
                .sorted()
                .toList();
        return Sessions.of(all, drafts.lost, cancelled, drafts.notes);
    }

    private Session session(Draft draft, DaysOff daysOff, Term term) {
        return new Session(
                draft.name,
                draft.start,
                draft.end,
                draft.minutes,
                draft.place,
                draft.link,
                draft.origin,
                daysOff.paused(draft),
                held.contains(draft.name),
                draft.start.toLocalDate().isBefore(term.planStart()),
                recorded.contains(draft.name));
    }
}
