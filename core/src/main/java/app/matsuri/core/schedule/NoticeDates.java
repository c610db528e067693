package app.matsuri.core.schedule;

import app.matsuri.core.plan.Notice;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;

/**
 * When a notice is, in one section.
 *
 * @param course code of the notice's own course, which may be another than the section's
 * @param entries in order of time; one for a notice that is once, unresolved or not
 * @param hiddenUntil when students see it first; null for as soon as they are told
 */
public record NoticeDates(String course, Notice notice, List<Entry> entries, Resolved hiddenUntil) {

    /**
     * One time of a notice.
     *
     * @param first the day that names it within a series, the one it had first; null for a notice that is once
     * @param begins null when unresolved
     * @param ends for whole days any time of the last of them; the beginning where nothing else is said; null when
     *     unresolved
     * @param allDay whole days, without a time
     * @param why why it is unresolved; null when it is not
     */
    public record Entry(LocalDate first, LocalDateTime begins, LocalDateTime ends, boolean allDay, String why) {

        static Entry unresolved(boolean allDay, String why) {
            return new Entry(null, null, null, allDay, why);
        }

        public boolean resolved() {
            return begins != null;
        }

        /** Whether it covers some of the day. */
        public boolean covers(LocalDate day) {
            return resolved() && !day.isBefore(begins.toLocalDate()) && !day.isAfter(ends.toLocalDate());
        }
    }

    public NoticeDates {
        entries = List.copyOf(entries);
    }

    /** Whether the section belongs to the notice's own course. */
    public boolean own(SectionSchedule in) {
        return course.equals(in.course().code());
    }
}
