package app.matsuri.core.schedule;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeAsItem;
import app.matsuri.core.plan.Which;
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

    /** As the dates of work: of a series those of its first and its last entry, without rules. */
    ItemDates asItem(SectionSchedule in) {
        Entry first = entries.isEmpty() ? null : entries.get(0);
        Entry last = entries.isEmpty() ? null : entries.get(entries.size() - 1);
        RulesInForce rules = RulesInForce.of(notice, in.section().code());
        boolean ends = notice.when(in.section().code()).series() || rules.rule(Which.CLOSES) != null;
        return new ItemDates(
                NoticeAsItem.NO_UNIT,
                NoticeAsItem.item(notice),
                rules,
                moment(first, true, rules),
                null,
                ends ? moment(last, false, rules) : null);
    }

    private static @Nullable Resolved moment(@Nullable Entry entry, boolean begins, RulesInForce rules) {
        if (entry == null) {
            return null;
        }
        if (!entry.resolved()) {
            return Resolved.unresolved(entry.why());
        }
        LocalDateTime at = begins ? entry.beginning() : entry.end();
        DateRule rule = rules.rule(begins ? Which.OPENS : Which.CLOSES);
        // a whole day has no time, also where it hangs on work that has one
        return new Resolved(
                entry.allDay() ? at.toLocalDate().atStartOfDay() : at,
                false,
                rule != null && rule.fixed(),
                false,
                null);
    }

    /** Whether the section belongs to the notice's own course. */
    public boolean own(SectionSchedule in) {
        return course.equals(in.course().code());
    }
}
