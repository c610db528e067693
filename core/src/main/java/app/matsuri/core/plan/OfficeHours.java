package app.matsuri.core.plan;

import app.matsuri.core.calendar.Extra;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.core.session.SessionChange;
import java.time.LocalDateTime;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * Time offered to students.
 *
 * @param id names it within its term
 * @param courses codes of the courses that it is for; empty for all of the term
 * @param windows when, each with its place and link
 * @param booking how its slots are booked; null where it is open without booking
 * @param howToCome words on how to come, may be empty
 * @param onDaysOff whether it stays on days off
 * @param changes to single slots, in the order in which they apply
 * @param blocked names of slots that are not given out
 */
public record OfficeHours(
        String id,
        String title,
        List<String> courses,
        List<MeetingPattern> windows,
        @Nullable BookingRules booking,
        String howToCome,
        boolean onDaysOff,
        List<SessionChange> changes,
        Set<LocalDateTime> blocked,
        Extra extra) {

    /** The most windows that one has. */
    public static final int MOST_WINDOWS = 60;

    /** The most slots that all windows together are cut into. */
    public static final int MOST_SLOTS = 300;

    public OfficeHours {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(title, "title");
        Objects.requireNonNull(howToCome, "howToCome");
        courses = List.copyOf(courses);
        windows = List.copyOf(windows);
        changes = List.copyOf(changes);
        blocked = Collections.unmodifiableSet(new LinkedHashSet<>(new TreeSet<>(blocked)));
    }

    /** For all courses, with nothing changed by hand. */
    public static OfficeHours of(
            String id, String title, List<MeetingPattern> windows, @Nullable BookingRules booking) {
        return new OfficeHours(id, title, List.of(), windows, booking, "", false, List.of(), Set.of(), Extra.NONE);
    }

    /** Into how many slots its windows are cut, each counted once however often it recurs. */
    public long slots() {
        BookingRules rules = booking;
        return rules == null
                ? windows.size()
                : windows.stream()
                        .mapToLong(w -> (w.minutes() + rules.pause()) / (rules.minutes() + rules.pause()))
                        .sum();
    }

    /** Whether it has more windows or slots than can be laid out. */
    public boolean tooMany() {
        return windows.size() > MOST_WINDOWS || slots() > MOST_SLOTS;
    }

    /** Whether it is for a course. */
    public boolean isFor(String course) {
        return courses.isEmpty() || courses.contains(course);
    }

    /** Whether it is for that course and no other. */
    public boolean onlyFor(String course) {
        return courses.equals(List.of(course));
    }

    /** The same for the courses but that one. */
    public OfficeHours without(String course) {
        return withCourses(courses.stream().filter(c -> !c.equals(course)).toList());
    }

    /** The same with a course under another code. */
    public OfficeHours renamed(String course, String now) {
        return withCourses(courses.stream().map(c -> c.equals(course) ? now : c).toList());
    }

    public OfficeHours withCourses(List<String> others) {
        return new OfficeHours(id, title, others, windows, booking, howToCome, onDaysOff, changes, blocked, extra);
    }

    /** The same at other times, for other courses. */
    public OfficeHours as(List<MeetingPattern> others, @Nullable BookingRules rules, List<String> forCourses) {
        return new OfficeHours(id, title, forCourses, others, rules, howToCome, onDaysOff, changes, blocked, extra);
    }

    /** The same, staying on days off or not. */
    public OfficeHours staying(boolean stays) {
        return new OfficeHours(id, title, courses, windows, booking, howToCome, stays, changes, blocked, extra);
    }

    /** The same with other words on how to come. */
    public OfficeHours comingAs(String words) {
        return new OfficeHours(id, title, courses, windows, booking, words, onDaysOff, changes, blocked, extra);
    }

    /** The same with one link for all of its windows; with none where empty. */
    public OfficeHours withLink(String link) {
        return as(windows.stream().map(w -> w.withLink(link)).toList(), booking, courses);
    }

    /** The same with nothing changed by hand. */
    public OfficeHours plain() {
        return withChanges(List.of()).withBlocked(Set.of());
    }

    public OfficeHours withChanges(List<SessionChange> others) {
        return new OfficeHours(id, title, courses, windows, booking, howToCome, onDaysOff, others, blocked, extra);
    }

    public OfficeHours withBlocked(Set<LocalDateTime> others) {
        return new OfficeHours(id, title, courses, windows, booking, howToCome, onDaysOff, changes, others, extra);
    }
}
