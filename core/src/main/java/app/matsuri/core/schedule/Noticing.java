package app.matsuri.core.schedule;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.NoticeTime.Repeat;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.schedule.NoticeDates.Entry;
import app.matsuri.core.session.Recurrence;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
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
        List<Sharing> sharing = sharing(sections);
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
            done.add(schedule.with(notices, shared(schedule, sharing)));
        }
        return done;
    }

    /** The dates of work that other courses have too, with the section that they are in. */
    private record Sharing(SectionSchedule from, ItemDates dates) {}

    /** All of them, in order: each section is held against these few only. */
    private static List<Sharing> sharing(List<SectionSchedule> sections) {
        List<Sharing> sharing = new ArrayList<>();
        for (SectionSchedule from : sections) {
            for (ItemDates dates : from.dates()) {
                if (!dates.item().details().shared().isEmpty()) {
                    sharing.add(new Sharing(from, dates));
                }
            }
        }
        return sharing;
    }

    /** Work of other courses that the section has too, when the first section of its own course has it. */
    private static List<SharedDates> shared(SectionSchedule schedule, List<Sharing> sharing) {
        List<SharedDates> shared = new ArrayList<>();
        Set<ThingRef> known = new HashSet<>();
        for (Sharing each : sharing) {
            Course from = each.from().course();
            ItemDates dates = each.dates();
            boolean here = from != schedule.course()
                    && dates.item()
                            .details()
                            .sharedWith(
                                    schedule.course().code(), schedule.section().code());
            if (here && known.add(new ThingRef(from.code(), dates.item().id()))) {
                shared.add(new SharedDates(from.code(), dates));
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
