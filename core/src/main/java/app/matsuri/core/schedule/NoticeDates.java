package app.matsuri.core.schedule;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.plan.Notice;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * When a notice is, in one section.
 *
 * @param course code of the notice's own course, which may be another than the section's
 * @param entries in order of time; one for a notice that is once, unresolved or not
 * @param hiddenUntil when students see it first; null for as soon as they are told
 */
public record NoticeDates(
        String course,
        Notice notice,
        List<Entry> entries,
        @Nullable Resolved hiddenUntil) {

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
    public record Entry(
            @Nullable LocalDate first,
            @Nullable LocalDateTime begins,
            @Nullable LocalDateTime ends,
            boolean allDay,
            @Nullable String why) {

        static Entry unresolved(boolean allDay, @Nullable String why) {
            return new Entry(null, null, null, allDay, why);
        }

        public boolean resolved() {
            return begins != null;
        }

        /** Whether it covers some of the day. */
        public boolean covers(LocalDate day) {
            return resolved() && !day.isBefore(beginning().toLocalDate()) && !day.isAfter(end().toLocalDate());
        }

        /**
         * When one that is resolved begins.
         *
         * @throws IllegalStateException when it is not
         */
        public LocalDateTime beginning() {
            return Known.there(begins, "a notice that is unresolved");
        }

        /** Why one that is unresolved is, likewise. */
        public String reason() {
            return Known.there(why, "why a notice is unresolved that is not");
        }

        /** When it ends, likewise. */
        public LocalDateTime end() {
            return Known.there(ends, "a notice that is unresolved");
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
