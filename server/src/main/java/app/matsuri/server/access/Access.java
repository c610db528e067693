package app.matsuri.server.access;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.change.NoSuch;
import app.matsuri.server.access.Colleague.Role;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermStore;
import app.matsuri.server.whatif.WhatIfs;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Who may look at a term, and who may change it: its workspace, and colleagues as they were invited. */
@Component
public class Access {

    private final EntityManager entities;
    private final TermStore store;
    private final WhatIfs whatIfs;
    private final Looks looks;

    /** Looked up by being the same, not by being equal. */
    private final Cache<Stored, Stored> shortened =
            Caffeine.newBuilder().weakKeys().softValues().build();

    Access(EntityManager entities, TermStore store, WhatIfs whatIfs, Looks looks) {
        this.looks = looks;
        this.entities = entities;
        this.store = store;
        this.whatIfs = whatIfs;
    }

    /**
     * The term for someone who may look at all of it, as the what-if has it that the request asks for, else as it
     * stands.
     *
     * @throws NoSuch when the person may not
     */
    @Transactional(readOnly = true)
    public Stored look(SignedIn by, long termId) {
        return whatIfs.asAsked(stands(by, termId));
    }

    /**
     * The term as it stands for someone who may look at all of it, whatever the request asks for.
     *
     * @throws NoSuch when the person may not
     */
    @Transactional(readOnly = true)
    public Stored stands(SignedIn by, long termId) {
        return colleague(by, termId)
                .filter(c -> c.role != Role.SUBSTITUTE)
                .map(c -> {
                    looks.saw(by.accountId(), termId);
                    Stored stored = store.load(owner(termId), termId);
                    return c.role == Role.READER ? shortened.get(stored, Stored::forReaders) : stored;
                })
                .orElseGet(() -> store.load(by.workspaceId(), termId));
    }

    /**
     * The term for someone who may change it, or the what-if of it that the request asks for.
     *
     * @throws NoSuch when the person may not even look
     */
    @Transactional(readOnly = true)
    public Stored change(SignedIn by, long termId) {
        Stored stored = look(by, termId);
        boolean reader =
                colleague(by, termId).filter(c -> c.role == Role.READER).isPresent();
        if (reader) {
            throw new Problem(
                    HttpStatus.FORBIDDEN,
                    "may-look-only",
                    "You may look at this term",
                    "You were invited to look, not to change. Ask the instructor for more. Nothing was stored.");
        }
        return stored;
    }

    /** What a substitute may see of a term. */
    public record Substitution(Stored stored, String course, String section, LocalDate first, LocalDate last) {}

    /** The part of the term for someone who takes classes for some days. */
    @Transactional(readOnly = true)
    public Substitution substitute(SignedIn by, long termId) {
        Colleague c =
                colleague(by, termId).filter(one -> one.role == Role.SUBSTITUTE).orElseThrow(() -> NoSuch.term(termId));
        looks.saw(by.accountId(), termId);
        return new Substitution(
                store.load(owner(termId), termId),
                Known.there(c.course, "a course"),
                Known.there(c.section, "a section"),
                c.firstDay,
                c.lastDay);
    }

    /** A term that was shared with someone. */
    public record SharedTerm(long termId, String role) {}

    /** The terms that were shared with the person. */
    @Transactional(readOnly = true)
    public List<SharedTerm> shared(SignedIn by) {
        return entities.createQuery(
                        "from Colleague where accountId = :a and withdrawn = false and termId in"
                                + " (select id from TermRecord where deletedAt is null) order by id",
                        Colleague.class)
                .setParameter("a", by.accountId())
                .getResultStream()
                .map(c -> new SharedTerm(c.termId, c.role.name().toLowerCase().replace('_', '-')))
                .toList();
    }

    /** A term that was shared with the person, for the list of terms. */
    @Transactional(readOnly = true)
    public Stored shared(SignedIn by, long termId) {
        colleague(by, termId).orElseThrow(() -> NoSuch.term(termId));
        return store.load(owner(termId), termId);
    }

    /**
     * A term over all of which somebody may look.
     *
     * @param role "own", "co-teacher" or "reader"
     */
    public record Seen(Stored stored, String role) {}

    /** All of those that the person has not put away: their own first, then those that were shared with them. */
    @Transactional(readOnly = true)
    public List<Seen> all(SignedIn by) {
        List<Seen> all = new ArrayList<>();
        store.all(by.workspaceId()).stream()
                .filter(t -> !store.archived(t.termId()))
                .forEach(t -> all.add(new Seen(t, "own")));
        shared(by).stream()
                .filter(s -> !s.role().equals("substitute"))
                .forEach(s -> all.add(new Seen(stands(by, s.termId()), s.role())));
        return all;
    }

    private Optional<Colleague> colleague(SignedIn by, long termId) {
        return entities.createQuery(
                        "from Colleague where accountId = :a and termId = :t and withdrawn = false and not exists"
                                + " (select 1 from TermRecord where id = :t and workspaceId = :w) order by role",
                        Colleague.class)
                .setParameter("a", by.accountId())
                .setParameter("w", by.workspaceId())
                .setParameter("t", termId)
                .getResultStream()
                .findFirst();
    }

    /** The workspace that a term belongs to. Callers have made sure that the person may look at it. */
    @Transactional(readOnly = true)
    public long workspace(long termId) {
        return owner(termId);
    }

    private long owner(long termId) {
        return entities.createQuery("select workspaceId from TermRecord where id = :t", Long.class)
                .setParameter("t", termId)
                .getSingleResult();
    }
}
