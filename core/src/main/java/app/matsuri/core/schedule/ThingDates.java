package app.matsuri.core.schedule;

import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Dated;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Which;
import java.time.LocalDateTime;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The dates of a dated thing in one section. */
public sealed interface ThingDates permits ItemDates, NoticeSpan {

    /** What has them. */
    Dated thing();

    /** Id of the unit that it belongs to; null for none. */
    @Nullable
    String unitId();

    /** The rules in force there. */
    RulesInForce rules();

    /** One of its dates; null where it has no such date. */
    @Nullable
    Resolved get(Which which);

    /** The moment of one of its dates; null where it has no such date or that is unresolved. */
    default @Nullable LocalDateTime at(Which which) {
        Resolved date = get(which);
        return date == null ? null : date.at();
    }

    /** The rule in force for one of its dates; null where it has no such date. */
    default @Nullable DateRule rule(Which which) {
        return rules().rule(which);
    }

    /**
     * What another rule would come to as one of its dates.
     *
     * @param in the section that these are its dates in
     * @param rule null for no date
     * @param beside its other dates that would differ too; the rest are as they are
     */
    @Nullable
    Resolved would(SectionSchedule in, Which which, @Nullable DateRule rule, Map<Which, Own<DateRule>> beside);
}
