package app.matsuri.server.whatif;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.Together;
import app.matsuri.core.change.section.Tell;
import app.matsuri.core.plan.Decisions;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.plan.Json;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.InWhatIf;
import app.matsuri.server.storage.Stored;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * Named what-ifs: each is a list of changes, made anew on whatever the plan has become. Callers have made sure that the
 * person may look at the term, or change it.
 */
@Component
public class WhatIfs {

    /** The request header that asks for a term as one of its what-ifs has it. */
    public static final String HEADER = "What-If";

    /** As many a term may have. */
    public static final int MOST = 20;

    private final EntityManager entities;
    private final Clock clock;

    WhatIfs(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * The term as the request's what-if has it; as it stands where the request names none.
     *
     * @throws Problem when there is no such what-if
     */
    @Transactional(readOnly = true)
    public Stored asAsked(Stored stands) {
        if (!(RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request)) {
            return stands;
        }
        String id = request.getRequest().getHeader(HEADER);
        return id == null ? stands : in(stands, find(stands.termId(), number(id)));
    }

    private static long number(String id) {
        try {
            return Long.parseLong(id);
        } catch (NumberFormatException e) {
            throw none();
        }
    }

    /** The what-ifs of a term, in the order in which they were made. */
    @Transactional(readOnly = true)
    public List<WhatIf> all(long termId) {
        return entities.createQuery("from WhatIf where termId = :t order by id", WhatIf.class)
                .setParameter("t", termId)
                .getResultList();
    }

    public WhatIf find(long termId, long id) {
        return Optional.ofNullable(entities.find(WhatIf.class, id))
                .filter(w -> w.termId == termId)
                .orElseThrow(WhatIfs::none);
    }

    private static Problem none() {
        return new Problem(
                HttpStatus.NOT_FOUND,
                "no-what-if",
                "No such what-if",
                "This term has no such what-if any more. The plan itself is as it was.");
    }

    /** The changes that stand, in order. */
    @Transactional(readOnly = true)
    public List<WhatIfStep> steps(WhatIf whatIf) {
        return all(whatIf).stream().filter(s -> !s.undone).toList();
    }

    private List<WhatIfStep> all(WhatIf whatIf) {
        return entities.createQuery("from WhatIfStep where whatIfId = :w order by position", WhatIfStep.class)
                .setParameter("w", whatIf.id)
                .getResultList();
    }

    public static Change change(WhatIfStep step) {
        return Known.there(ChangeJson.read(Json.read(step.changed)).change(), step.sentence);
    }

    /** The term as the what-if has it: its changes on the plan as it is now, up to one that no longer can be made. */
    @Transactional(readOnly = true)
    public Stored in(Stored stands, WhatIf whatIf) {
        List<WhatIfStep> all = all(whatIf);
        List<WhatIfStep> steps = all.stream().filter(s -> !s.undone).toList();
        Decisions decisions = stands.decisions();
        String broken = null;
        for (WhatIfStep step : steps) {
            try {
                decisions = Change.make(change(step), decisions).decisions();
            } catch (Refused e) {
                broken = "“" + step.sentence + "” can no longer be made: " + e.getMessage();
                break;
            }
        }
        InWhatIf in = new InWhatIf(
                whatIf.id,
                whatIf.name,
                steps.isEmpty() ? null : steps.get(steps.size() - 1).sentence,
                all.stream()
                        .filter(s -> s.undone)
                        .map(s -> s.sentence)
                        .findFirst()
                        .orElse(null),
                broken);
        return new Stored(
                stands.termId(), stands.version() + whatIf.revision, stands.rows(), decisions, stands.shortened(), in);
    }

    /**
     * Makes a what-if.
     *
     * @throws Problem when there are too many, or one of that name
     */
    @Transactional
    public WhatIf create(long termId, String name) {
        List<WhatIf> others = all(termId);
        if (others.size() >= MOST) {
            throw refused(
                    "too-many-what-ifs",
                    "Too many what-ifs",
                    "A term has at most " + MOST + " what-ifs: drop one first. Nothing was stored.");
        }
        if (others.stream().anyMatch(w -> w.name.equalsIgnoreCase(name))) {
            throw refused(
                    "what-if-exists",
                    "There is such a what-if",
                    "There is a what-if “" + name + "” already: give another name. Nothing was stored.");
        }
        WhatIf whatIf = new WhatIf();
        whatIf.termId = termId;
        whatIf.name = name;
        whatIf.createdAt = Instant.now(clock);
        entities.persist(whatIf);
        entities.flush();
        return whatIf;
    }

    /** Adds a change to the what-if that the term was loaded as; what was taken back before is gone. */
    @Transactional
    public Stored append(Stored as, Stored stands, Change change) {
        if (tells(change)) {
            throw refused(
                    "what-if-tells",
                    "A what-if tells nobody",
                    "Students see nothing of a what-if:" + " take it over first. Nothing was stored.");
        }
        if (as.inWhatIf().broken() != null) {
            throw refused(
                    "what-if-broken",
                    "The what-if no longer follows the plan",
                    as.inWhatIf().broken() + " Undo that step first. Nothing was stored.");
        }
        String sentence = Change.said(change, as.decisions());
        Change.make(change, as.decisions());
        WhatIf whatIf = find(as.termId(), as.inWhatIf().id());
        List<WhatIfStep> all = all(whatIf);
        all.stream().filter(s -> s.undone).forEach(entities::remove);
        entities.flush();
        WhatIfStep step = new WhatIfStep();
        step.whatIfId = whatIf.id;
        step.position = (int) all.stream().filter(s -> !s.undone).count();
        step.sentence = sentence;
        step.changed = Json.write(Json.MAPPER.valueToTree(ChangeJson.write(change)));
        entities.persist(step);
        whatIf.revision++;
        entities.flush();
        return in(stands, whatIf);
    }

    private static boolean tells(Change change) {
        return change instanceof Tell
                || change instanceof Together together
                        && together.changes().stream().anyMatch(WhatIfs::tells);
    }

    /** Takes the last change back, or makes the last one that was taken back again; null for none. */
    @Transactional
    public @Nullable String step(Stored as, boolean undo) {
        WhatIf whatIf = find(as.termId(), as.inWhatIf().id());
        List<WhatIfStep> steps = new ArrayList<>(
                all(whatIf).stream().filter(s -> s.undone != undo).toList());
        if (steps.isEmpty()) {
            return null;
        }
        WhatIfStep step = steps.get(undo ? steps.size() - 1 : 0);
        step.undone = undo;
        whatIf.revision++;
        entities.flush();
        return step.sentence;
    }

    /** Drops the what-if with its changes. */
    @Transactional
    public void drop(WhatIf whatIf) {
        all(whatIf).forEach(entities::remove);
        entities.flush();
        entities.remove(entities.find(WhatIf.class, whatIf.id));
    }

    private static Problem refused(String type, String title, String detail) {
        return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, type, title, detail);
    }
}
