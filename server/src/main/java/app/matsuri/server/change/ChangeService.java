package app.matsuri.server.change;

import app.matsuri.core.change.Change;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.Untold;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Moment;
import app.matsuri.server.clock.Today;
import app.matsuri.server.history.History;
import app.matsuri.server.history.HistoryEntry.Kind;
import app.matsuri.server.http.ChangeGiven;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.Delta;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermStore;
import app.matsuri.server.whatif.WhatIfs;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The one way to write: each step is one transaction with its delta, its line of history and a new version. */
@Service
public class ChangeService {

    /** How many terms a workspace has. */
    private static final int MOST_TERMS = 500;

    private final Accounts accounts;
    private final TermStore store;
    private final Access access;
    private final History history;
    private final Today today;
    private final Moment moment;
    private final Proposals proposals;
    private final Computing computing;
    private final WhatIfs whatIfs;
    private final ApplicationEventPublisher events;

    ChangeService(
            Accounts accounts,
            TermStore store,
            Access access,
            History history,
            Today today,
            Moment moment,
            Proposals proposals,
            Computing computing,
            WhatIfs whatIfs,
            ApplicationEventPublisher events) {
        this.accounts = accounts;
        this.store = store;
        this.access = access;
        this.history = history;
        this.today = today;
        this.moment = moment;
        this.proposals = proposals;
        this.computing = computing;
        this.whatIfs = whatIfs;
        this.events = events;
    }

    /**
     * A step that was made.
     *
     * @param schedule what follows from what is stored now; null where it was not worked out for it
     */
    public record Made(
            Stored stored, String sentence, @Nullable Schedule schedule) {}

    /**
     * What students hear of a change.
     *
     * @param seen those that were told anything are told what it alters
     * @param digest those who are told that something moved get a letter of it
     */
    public record Telling(boolean seen, boolean digest) {

        /** They are told, without a letter. */
        public static final Telling USUAL = new Telling(true, false);
    }

    /** That those who were told that something moved are to get a letter of it; part of the transaction that tells them. */
    public record DigestWanted(Stored before, Stored after) {}

    /**
     * Makes a term.
     *
     * @throws Problem where what follows from the decisions cannot be worked out
     */
    @Transactional
    public Stored begin(SignedIn by, Decisions decisions) {
        accounts.makesTerms(by);
        if (store.count(by.workspaceId()) >= MOST_TERMS) {
            throw new Problem(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "too-many-terms",
                    "Too many terms",
                    "A workspace has at most " + MOST_TERMS + " terms. Delete one that is no longer needed. Nothing was"
                            + " stored.");
        }
        computing.checked(decisions);
        Stored stored = store.create(by.workspaceId(), decisions);
        String name = decisions.term().name();
        history.append(
                stored.termId(),
                by,
                Kind.BEGIN,
                null,
                "Begin the term" + (name.isEmpty() ? "" : " " + name),
                new Delta(List.of()));
        return stored;
    }

    /**
     * Makes a change on top of the version on which it was looked at; in a what-if, beside the plan.
     *
     * @param telling what students hear of it
     */
    @Transactional
    public Made make(SignedIn by, long termId, long version, ChangeGiven given, Telling telling) {
        Stored before = access.change(by, termId);
        TermStore.expect(before, version);
        if (before.whatIf() != null) {
            Change change = moment.now(given, before.decisions());
            String said = Change.said(change, before.decisions());
            return new Made(whatIfs.append(before, access.stands(by, termId), change), said, null);
        }
        Proposal proposal = proposals.of(before, given, telling.seen());
        if (proposal.nothing()) {
            // what is so already is no step that somebody could want to take back
            return new Made(before, proposal.does() + ": it is so already", proposal.schedule());
        }
        LocalDateTime now = today.now(before.decisions().term().zone());
        Decisions after = Untold.at(now, before.decisions(), proposal.after());
        Stored stored = step(by, before, Kind.CHANGE, null, proposal.step(), store.delta(before, after), after);
        if (telling.digest()) {
            events.publishEvent(new DigestWanted(before, stored));
        }
        return new Made(stored, proposal.step(), proposal.schedule());
    }

    /** Takes back the last step that stands. */
    @Transactional
    public Made undo(SignedIn by, long termId, long version) {
        Stored before = access.change(by, termId);
        TermStore.expect(before, version);
        if (before.whatIf() != null) {
            return beside(by, before, true);
        }
        History.Line line = history.ends(termId).undo().orElseThrow(() -> nothing("undo"));
        Delta delta = history.delta(termId, line.seq()).inverse();
        return step(by, before, Kind.UNDO, line.seq(), "Undo: " + line.sentence(), delta);
    }

    /** Makes again what was taken back last. */
    @Transactional
    public Made redo(SignedIn by, long termId, long version) {
        Stored before = access.change(by, termId);
        TermStore.expect(before, version);
        if (before.whatIf() != null) {
            return beside(by, before, false);
        }
        History.Line line = history.ends(termId).redo().orElseThrow(() -> nothing("redo"));
        Delta delta = history.delta(termId, line.seq());
        return step(by, before, Kind.REDO, line.seq(), "Redo: " + line.sentence(), delta);
    }

    /** Goes back to how everything stood after an entry, as one step that can itself be undone. */
    @Transactional
    public Made returnTo(SignedIn by, long termId, long version, long seq) {
        Stored before = access.change(by, termId);
        TermStore.expect(before, version);
        if (before.whatIf() != null) {
            throw nothing("return to");
        }
        History.Line line = history.line(termId, seq).orElseThrow(() -> nothing("return to"));
        var rows = before.rows();
        for (Delta delta : history.deltasAfter(termId, seq)) {
            rows = delta.inverse().applyTo(rows);
        }
        String to = line.name() == null ? line.sentence() : "“" + line.name() + "”";
        return step(by, before, Kind.CHANGE, null, "Return to: " + to, Delta.between(before.rows(), rows));
    }

    /** Takes the last change of a what-if back, or makes it again. */
    private Made beside(SignedIn by, Stored before, boolean undo) {
        String sentence = whatIfs.step(before, undo);
        if (sentence == null) {
            throw nothing(undo ? "undo" : "redo");
        }
        return new Made(access.look(by, before.termId()), (undo ? "Undo: " : "Redo: ") + sentence, null);
    }

    private Made step(SignedIn by, Stored before, Kind kind, @Nullable Long of, String sentence, Delta delta) {
        return new Made(
                step(by, before, kind, of, sentence, delta, TermStore.decisions(before, delta)), sentence, null);
    }

    private Stored step(
            SignedIn by, Stored before, Kind kind, @Nullable Long of, String sentence, Delta delta, Decisions after) {
        Stored stored = store.write(before, delta, after);
        history.append(before.termId(), by, kind, of, sentence, delta);
        return stored;
    }

    private static Problem nothing(String what) {
        return new Problem(
                HttpStatus.CONFLICT,
                "nothing-to-" + what.replace(' ', '-'),
                "Nothing to " + what,
                "There is nothing to " + what + " in this term.");
    }
}
