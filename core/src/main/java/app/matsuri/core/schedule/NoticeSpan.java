package app.matsuri.core.schedule;

import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Which;
import java.time.LocalDateTime;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * When a notice of the section's own course begins and ends there, as one among dated things; of a series, when its
 * first entry begins and its last one ends, without rules.
 *
 * @param opens when it begins; null for a series without entries
 * @param closes when it ends; null where nothing is said of it
 */
public record NoticeSpan(
        Notice notice,
        RulesInForce rules,
        @Nullable Resolved opens,
        @Nullable Resolved closes) implements ThingDates {

    /** The span of a notice in the section. */
    static NoticeSpan of(NoticeDates dates, SectionSchedule in) {
        Notice notice = dates.notice();
        String section = in.section().code();
        RulesInForce rules = RulesInForce.of(notice, section);
        boolean ends = notice.when(section).series() || rules.rule(Which.CLOSES) != null;
        int last = dates.entries().size() - 1;
        return new NoticeSpan(
                notice,
                rules,
                last < 0 ? null : moment(dates.entries().get(0), Which.OPENS, rules),
                last < 0 || !ends ? null : moment(dates.entries().get(last), Which.CLOSES, rules));
    }

    private static Resolved moment(NoticeDates.Entry entry, Which which, RulesInForce rules) {
        if (!entry.resolved()) {
            return Resolved.unresolved(entry.why());
        }
        LocalDateTime at = which == Which.OPENS ? entry.beginning() : entry.end();
        DateRule rule = rules.rule(which);
        // a whole day has no time, also where it hangs on work that has one
        return new Resolved(
                entry.allDay() ? at.toLocalDate().atStartOfDay() : at,
                false,
                rule != null && rule.fixed(),
                false,
                null);
    }

    @Override
    public Notice thing() {
        return notice;
    }

    @Override
    public @Nullable String unitId() {
        return notice.unit();
    }

    @Override
    public @Nullable Resolved get(Which which) {
        return switch (which) {
            case OPENS -> opens;
            case DUE -> null;
            case CLOSES -> closes;
        };
    }

    @Override
    public @Nullable Resolved would(
            SectionSchedule in, Which which, @Nullable DateRule rule, Map<Which, Own<DateRule>> beside) {
        if (rule == null) {
            return null;
        }
        Dates resolver = in.resolver();
        Own<DateRule> own = beside.getOrDefault(Which.OPENS, Own.asPlanned());
        Resolved begins = own.planned()
                ? opens
                : own.said().map(r -> resolver.notice(r, in.byItem(), null)).orElse(null);
        return resolver.notice(rule, in.byItem(), which == Which.CLOSES && begins != null ? begins.at() : null);
    }
}
