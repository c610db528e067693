package app.matsuri.core.schedule;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.NoticeTime.Repeat;
import app.matsuri.core.schedule.NoticeDates.Entry;
import app.matsuri.core.session.Recurrence;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Works out when notices are, and what courses share. A section of another course, with which something is shared, has it
 * when the first section of its own course has it that it is for.
 */
final class Noticing {

    private Noticing() {}

    /** Every section with its notices. */
    static List<SectionSchedule> in(List<SectionSchedule> sections) {
        List<SectionSchedule> done = new ArrayList<>();
        Map<SectionSchedule, Dates> resolvers = new IdentityHashMap<>();
        for (SectionSchedule schedule : sections) {
            List<NoticeDates> notices = new ArrayList<>();
            for (SectionSchedule from : sections) {
                boolean own = from.course() == schedule.course();
                if (own && from != schedule) {
                    continue;
                }
                for (Notice notice : from.course().besides().notices()) {
                    boolean here = own
                            ? notice.concerns(schedule.section().code())
                            : first(from, notice, sections)
                                    && notice.sharedWith(
                                            schedule.course().code(),
                                            schedule.section().code());
                    if (here) {
                        notices.add(dates(from, resolvers.computeIfAbsent(from, SectionSchedule::resolver), notice));
                    }
                }
            }
            done.add(schedule.with(notices, shared(schedule, sections)));
        }
        return done;
    }

    /** Work of other courses that the section has too, when the first section of its own course has it. */
    private static List<SharedDates> shared(SectionSchedule schedule, List<SectionSchedule> sections) {
        List<SharedDates> shared = new ArrayList<>();
        for (SectionSchedule from : sections) {
            if (from.course() == schedule.course()) {
                continue;
            }
            for (ItemDates dates : from.dates()) {
                ItemDetails details = dates.item().details();
                boolean here = !details.shared().isEmpty()
                        && details.sharedWith(
                                schedule.course().code(), schedule.section().code());
                if (here
                        && shared.stream()
                                .noneMatch(s -> s.course().equals(from.course().code())
                                        && s.dates()
                                                .item()
                                                .id()
                                                .equals(dates.item().id()))) {
                    shared.add(new SharedDates(from.course().code(), dates));
                }
            }
        }
        return shared;
    }

    /** Whether it is the first section of its course that the notice is for. */
    private static boolean first(SectionSchedule from, Notice notice, List<SectionSchedule> sections) {
        return sections.stream()
                .filter(s -> s.course() == from.course()
                        && notice.concerns(s.section().code()))
                .findFirst()
                .filter(s -> s == from)
                .isPresent();
    }

    /** When a notice of its own course is in the section. */
    private static NoticeDates dates(SectionSchedule in, Dates resolver, Notice notice) {
        NoticeTime time = notice.when(in.section().code());
        Resolved hidden =
                notice.hiddenUntil() == null ? null : resolver.notice(notice.hiddenUntil(), in.byItem(), null);
        List<Entry> entries = time.series() ? series(in.calendar().term(), time) : List.of(once(in, resolver, time));
        return new NoticeDates(in.course().code(), notice, entries, hidden);
    }

    private static Entry once(SectionSchedule in, Dates resolver, NoticeTime time) {
        Resolved begins = resolver.notice(Known.there(time.begins(), "a beginning"), in.byItem(), null);
        if (!begins.resolved()) {
            return Entry.unresolved(time.allDay(), begins.why());
        }
        if (time.ends() == null) {
            return new Entry(null, begins.at(), begins.at(), time.allDay(), null);
        }
        Resolved ends = resolver.notice(time.ends(), in.byItem(), begins.at());
        return ends.resolved()
                ? new Entry(null, begins.at(), ends.at(), time.allDay(), null)
                : Entry.unresolved(time.allDay(), ends.why());
    }

    private static List<Entry> series(Term term, NoticeTime time) {
        TreeMap<LocalDate, Repeat> days = new TreeMap<>();
        for (Repeat repeat : time.repeats()) {
            LocalDate from = repeat.from() == null ? term.first() : repeat.from();
            LocalDate until = repeat.until() == null ? term.last() : repeat.until();
            for (LocalDate day : dates(repeat.rule(), from, until)) {
                days.putIfAbsent(day, repeat);
            }
        }
        List<Entry> entries = new ArrayList<>();
        days.forEach((day, repeat) -> {
            boolean whole = repeat.time() == null;
            LocalDateTime begins = whole ? day.atStartOfDay() : day.atTime(repeat.time());
            Optional<LocalDateTime> instead = time.instead().getOrDefault(day, Optional.of(begins));
            instead.ifPresent(
                    at -> entries.add(new Entry(day, at, at.plus(repeat.minutes(), ChronoUnit.MINUTES), whole, null)));
        });
        entries.sort(Comparator.comparing(Entry::begins));
        return entries;
    }

    /** A recurrence that cannot be read gives no day, as one of a class gives no class; the plan file's reader says so. */
    private static List<LocalDate> dates(String rule, LocalDate from, LocalDate until) {
        try {
            return Recurrence.of(rule).dates(from, until);
        } catch (IllegalArgumentException e) {
            return List.of();
        }
    }
}
