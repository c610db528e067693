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

/** Works out what changes would do. What was looked at last is kept, so that making it does not work it out again. */
@Component
class Proposals {

    private final Moment moment;
    private final Computing computing;
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
     * What a proposal follows from, and nothing else.
     *
     * @param clock whether its sentences are on a clock of 12 hours
     */
    private record Key(
            long termId,
            long version,
            long whatIf,
            LocalDate day,
            Change change,
            boolean held,
            boolean seen,
            boolean clock,
            boolean shortened) {}

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
        Key key = new Key(
                stored.termId(),
                stored.version(),
                whatIf == null ? 0 : whatIf.id(),
                day,
                change,
                given.held(),
                seen && plan,
                Say.twelveHours(),
                stored.shortened());
        return looked.get(key, k -> worked(stored, k));
    }

    private Proposal worked(Stored stored, Key key) {
        try {
            return Proposal.of(Proposal.Before.of(stored.decisions(), key.day()), key.change(), key.seen(), key.held());
        } catch (Refused e) {
            throw e;
        } catch (RuntimeException e) {
            computing.checked(Change.make(key.change(), stored.decisions()).decisions());
            throw e;
        }
    }
}
