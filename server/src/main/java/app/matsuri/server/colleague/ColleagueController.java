package app.matsuri.server.colleague;

import app.matsuri.core.calendar.Say;
import app.matsuri.server.access.Colleague;
import app.matsuri.server.access.Colleague.Role;
import app.matsuri.server.access.Looks;
import app.matsuri.server.account.AccessLog;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.Confirmation;
import app.matsuri.server.account.PasswordAgain;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import app.matsuri.server.mail.Letters;
import app.matsuri.server.settings.Tokens;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermStore;
import jakarta.persistence.EntityManager;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Colleagues of a term: inviting them, and taking that back. */
@RestController
@RequestMapping(path = "/api", produces = "application/json")
class ColleagueController {

    /** How many colleagues a term has. */
    private static final int MOST = 100;

    private static final int MOST_OF_SUBJECT = 200;

    private static final int MOST_LOOKS = 500;

    private final EntityManager entities;
    private final TermStore store;
    private final Letters letters;
    private final Accounts accounts;
    private final Confirmation confirmation;
    private final Looks looks;
    private final AccessLog log;
    private final Clock clock;

    ColleagueController(
            EntityManager entities,
            TermStore store,
            Letters letters,
            Accounts accounts,
            Confirmation confirmation,
            Looks looks,
            AccessLog log,
            Clock clock) {
        this.accounts = accounts;
        this.confirmation = confirmation;
        this.looks = looks;
        this.log = log;
        this.entities = entities;
        this.store = store;
        this.letters = letters;
        this.clock = clock;
    }

    /**
     * A colleague of a term.
     *
     * @param role "co-teacher", "reader" or "substitute"
     * @param accepted whether the invitation was taken
     */
    record ColleagueLine(
            long id,
            String role,
            String name,
            String mail,
            @Nullable String course,
            @Nullable String section,
            @Nullable LocalDate first,
            @Nullable LocalDate last,
            boolean accepted) {

        static ColleagueLine of(Colleague c) {
            return new ColleagueLine(
                    c.id,
                    word(c.role),
                    c.name,
                    c.mail,
                    c.course,
                    c.section,
                    c.firstDay,
                    c.lastDay,
                    c.accountId != null);
        }
    }

    static String word(Role role) {
        return role.name().toLowerCase().replace('_', '-');
    }

    /**
     * Whom to invite, and to what.
     *
     * @param makesTerms whether an account that is made for it may make terms of its own; a co-teacher's always may
     */
    record InvitationForm(
            @Pattern(regexp = "co-teacher|reader|substitute", message = "Choose co-teacher, reader or substitute.")
            String role,

            @NotBlank(message = "Give a name.") @Size(max = 100, message = "At most 100 characters.")
            String name,

            @NotBlank(message = "Give a mail address.")
            @Email(message = "That is no mail address.")
            @Size(max = 200, message = "At most 200 characters.")
            String mail,

            @Nullable String course,
            @Nullable String section,
            @Nullable LocalDate first,
            @Nullable LocalDate last,
            @Nullable Boolean makesTerms) {}

    @GetMapping("/terms/{termId}/colleagues")
    List<ColleagueLine> all(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        store.load(by.workspaceId(), termId);
        return entities
                .createQuery("from Colleague where termId = :t and withdrawn = false order by id", Colleague.class)
                .setParameter("t", termId)
                .getResultList()
                .stream()
                .map(ColleagueLine::of)
                .toList();
    }

    @PostMapping(path = "/terms/{termId}/colleagues", consumes = "application/json")
    @ResponseStatus(HttpStatus.CREATED)
    @Transactional
    public ColleagueLine invite(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @Valid @RequestBody InvitationForm form) {
        Stored stored = store.load(by.workspaceId(), termId);
        Colleague colleague = new Colleague();
        colleague.termId = termId;
        colleague.role = Role.valueOf(form.role().toUpperCase().replace('-', '_'));
        colleague.name = form.name().strip();
        colleague.mail = form.mail().strip();
        colleague.invitedAt = Instant.now(clock);
        colleague.makesTerms = colleague.role == Role.CO_TEACHER || Boolean.TRUE.equals(form.makesTerms());
        long already = entities.createQuery(
                        "select count(*) from Colleague where termId = :t and withdrawn = false", Long.class)
                .setParameter("t", termId)
                .getSingleResult();
        if (already >= MOST) {
            throw new Problem(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "too-many-colleagues",
                    "Too many colleagues",
                    "At most " + MOST + " are invited to a term. Take an invitation back first.");
        }
        if (colleague.role == Role.SUBSTITUTE) {
            boolean known = form.course() != null
                    && stored.decisions()
                            .course(form.course())
                            .flatMap(c -> c.section(form.section() == null ? "" : form.section()))
                            .isPresent();
            if (!known
                    || form.first() == null
                    || form.last() == null
                    || form.last().isBefore(form.first())) {
                throw new Problem(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        "substitute-of-what",
                        "For which classes?",
                        "Say which section the substitute takes, from which day to which.");
            }
            colleague.course = form.course();
            colleague.section = form.section();
            colleague.firstDay = form.first();
            colleague.lastDay = form.last();
        }
        String token = Tokens.fresh();
        colleague.tokenHash = Tokens.hash(token);
        entities.persist(colleague);
        String term = stored.decisions().term().name();
        String what = switch (colleague.role) {
            case CO_TEACHER -> "teach " + term + " together: you may change everything in it";
            case READER -> "look at " + term;
            case SUBSTITUTE ->
                "take the classes of " + colleague.course + " " + colleague.section + ", "
                        + Say.days(colleague.firstDay, colleague.lastDay);
        };
        letters.write(
                by.workspaceId(),
                stored.decisions().term().zone(),
                colleague.mail,
                shortened(by.displayName() + " invites you to " + term),
                "Dear " + colleague.name + ",\n\n" + by.displayName() + " invites you to " + what
                        + ".\n\nOpen this link once to take the invitation:\n"
                        + (letters.simulated() ? "" : letters.address()) + "/invitation/" + token
                        + "\n\nIt can be taken for " + Colleague.DAYS_OPEN
                        + " days. It is yours alone: do not pass it on.\n");
        log.say("invited as " + word(colleague.role) + " to term " + termId + " by " + by.signIn(), colleague.mail);
        return ColleagueLine.of(colleague);
    }

    /** A subject has a bound of its own; the letter has the whole name. */
    private static String shortened(String subject) {
        return subject.length() <= MOST_OF_SUBJECT ? subject : subject.substring(0, MOST_OF_SUBJECT - 1) + "…";
    }

    @DeleteMapping("/terms/{termId}/colleagues/{colleagueId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void withdraw(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @PathVariable long colleagueId) {
        store.load(by.workspaceId(), termId);
        int gone = entities.createQuery("update Colleague set withdrawn = true where id = :i and termId = :t")
                .setParameter("i", colleagueId)
                .setParameter("t", termId)
                .executeUpdate();
        if (gone == 0) {
            throw new Problem(
                    HttpStatus.NOT_FOUND, "no-such-colleague", "No such colleague", "That invitation is gone already.");
        }
        log.say("invitation withdrawn of term " + termId + " by " + by.signIn(), "colleague " + colleagueId);
    }

    /** Who looked at a term of one's own, by day, the last first. */
    @GetMapping("/terms/{termId}/looks")
    List<Looks.Look> looks(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        ZoneId zone = store.load(by.workspaceId(), termId).decisions().term().zone();
        return looks.of(termId, zone, MOST_LOOKS);
    }

    /** Makes a co-teacher the owner; who was becomes a co-teacher. */
    @PostMapping(path = "/terms/{termId}/colleagues/{colleagueId}/ownership", consumes = "application/json")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void handOver(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @PathVariable long colleagueId,
            @Valid @RequestBody PasswordAgain asked,
            HttpServletRequest request) {
        store.load(by.workspaceId(), termId);
        confirmation.password(by, asked.password(), request, "handing over of term " + termId);
        Colleague colleague = entities.find(Colleague.class, colleagueId);
        if (colleague == null
                || colleague.termId != termId
                || colleague.withdrawn
                || colleague.role != Role.CO_TEACHER
                || colleague.accountId == null) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "no-co-teacher",
                    "Hand it to a co-teacher",
                    "A term is handed over to a co-teacher who took the invitation. Nothing was changed.");
        }
        SignedIn to = accounts.byId(colleague.accountId);
        accounts.makesTerms(to);
        store.handOver(by.workspaceId(), termId, to.workspaceId());
        // the two change places
        colleague.accountId = by.accountId();
        colleague.name = by.displayName();
        colleague.mail = accounts.mail(by);
        log.say("term " + termId + " handed over by " + by.signIn(), to.signIn(), request);
    }
}
