package app.matsuri.server.change;

import app.matsuri.core.plan.Decisions;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.server.storage.Stored;
import org.jspecify.annotations.Nullable;

/** A view of a term as a part of the answer to a proposal or a change, so that who asked need not ask again. */
public interface ViewPart<V> {

    /**
     * What a view is made of.
     *
     * @param decisions those to show
     * @param schedule what follows from them
     * @param proposal what is proposed; null for what stands
     * @param course the course that is looked at; null for the first
     * @param section likewise
     */
    record Asked(
            Stored stored,
            Decisions decisions,
            Schedule schedule,
            @Nullable Proposal proposal,
            @Nullable String course,
            @Nullable String section) {

        /** What a term's view is made of as it stands. */
        public static Asked of(Stored stored) {
            return new Asked(stored, stored.decisions(), Schedule.of(stored.decisions()), null, null, null);
        }
    }

    /** The view's name, as a request asks for it. */
    String view();

    /** The field of the answer that holds it. */
    String field();

    /** What it is, by the name of its schema. */
    Class<V> type();

    /** The view; null where there is nothing to show in it. */
    @Nullable
    V part(Asked asked);
}
