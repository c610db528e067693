package app.matsuri.server.change;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.server.clock.Moment;
import app.matsuri.server.http.ChangeGiven;
import app.matsuri.server.storage.InWhatIf;
import app.matsuri.server.storage.Stored;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.time.LocalDate;
import org.springframework.stereotype.Component;

/**
 * Works out what changes would do. What was looked at last is kept, so that making it does not work it out again; and what follows from
 * plans as they stand, as whoever looks for a way asks for one proposal after the other.
 */
@Component
class Proposals {

    /** Rows of all plans of which that is kept, one for so many bytes of the heap: some 90 of the usual size with 256 MB. */
    private static final long MOST_ROWS = Runtime.getRuntime().maxMemory() / 4_096;

    private final Moment moment;
    private final Computing computing;
    private final Cache<Base, Kept> standing = Caffeine.newBuilder()
            .maximumWeight(MOST_ROWS)
            .weigher((Base base, Kept kept) -> kept.weight())
            .softValues()
            .expireAfterAccess(Duration.ofMinutes(10))
            .build();
    private final Cache<Key, Proposal> looked = Caffeine.newBuilder()
            .maximumSize(4)
            .softValues()
            .expireAfterWrite(Duration.ofMinutes(2))
            .build();

    Proposals(Moment moment, Computing computing) {
        this.moment = moment;
        this.computing = computing;
    }

    /**
     * A plan as it stands, on a day.
     *
     * @param clock whether its sentences are on a clock of 12 hours
     */
    private record Base(long termId, long version, long whatIf, LocalDate day, boolean clock, boolean shortened) {}

    /** What follows from a plan as it stands. */
    private record Kept(Proposal.Before before, int weight) {}

    /** What a proposal follows from, and nothing else. */
    private record Key(Base base, Change change, boolean held, boolean seen) {}

    /**
     * What a change would do now.
     *
     * @param seen students who were told anything are told what it alters
     * @throws Refused when it cannot be made
     * @throws app.matsuri.server.http.Problem where what follows from it cannot be worked out
     */
    Proposal of(Stored stored, ChangeGiven given, boolean seen) {
        LocalDate day = moment.day(stored.decisions());
        Change change = moment.now(given.change(), stored.decisions());
        InWhatIf whatIf = stored.whatIf();
        boolean plan = whatIf == null;
        Base base = new Base(
                stored.termId(),
                stored.version(),
                whatIf == null ? 0 : whatIf.id(),
                day,
                Say.twelveHours(),
                stored.shortened());
        Key key = new Key(base, change, given.held(), seen && plan);
        return looked.get(key, k -> worked(stored, k));
    }

    private Proposal worked(Stored stored, Key key) {
        try {
            Kept kept = standing.get(
                    key.base(), b -> new Kept(Proposal.Before.of(stored.decisions(), b.day()), stored.weight()));
            return Proposal.of(kept.before(), key.change(), key.seen(), key.held());
        } catch (Refused e) {
            throw e;
        } catch (RuntimeException e) {
            computing.checked(Change.make(key.change(), stored.decisions()).decisions());
            throw e;
        }
    }
}
