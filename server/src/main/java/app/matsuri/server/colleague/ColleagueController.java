package app.matsuri.server.colleague;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.Item;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.session.Session;
import app.matsuri.server.access.Access;
import app.matsuri.server.access.Colleague;
import app.matsuri.server.access.Colleague.Role;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.Stored;
import app.matsuri.server.storage.TermStore;
import jakarta.persistence.EntityManager;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HexFormat;
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

/** Colleagues of a term: inviting them, taking that back, and what they see. */
@RestController
@RequestMapping(path = "/api", produces = "application/json")
class ColleagueController {

    private static final SecureRandom RANDOM = new SecureRandom();

    private final EntityManager entities;
    private final TermStore store;
    private final Access access;
    private final Outbox outbox;
    private final Accounts accounts;
    private final Clock clock;

    ColleagueController(
            EntityManager entities, TermStore store, Access access, Outbox outbox, Accounts accounts, Clock clock) {
        this.entities = entities;
        this.store = store;
        this.access = access;
        this.outbox = outbox;
        this.accounts = accounts;
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

    private static String word(Role role) {
        return role.name().toLowerCase().replace('_', '-');
    }

    /** Whom to invite, and to what. */
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
            @Nullable LocalDate last) {}

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
        byte[] random = new byte[24];
        RANDOM.nextBytes(random);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(random);
        colleague.tokenHash = hash(token);
        entities.persist(colleague);
        String term = stored.decisions().term().name();
        String what = switch (colleague.role) {
            case CO_TEACHER -> "teach " + term + " together: you may change everything in it";
            case READER -> "look at " + term;
            case SUBSTITUTE ->
                "take the classes of " + colleague.course + " " + colleague.section + ", "
                        + Say.days(colleague.firstDay, colleague.lastDay);
        };
        outbox.send(
                by.workspaceId(),
                colleague.mail,
                by.displayName() + " invites you to " + term,
                "Dear " + colleague.name + ",\n\n" + by.displayName() + " invites you to " + what
                        + ".\n\nOpen this link once to take the invitation:\n/invitation/" + token
                        + "\n\nIt is yours alone: do not pass it on.\n");
        return ColleagueLine.of(colleague);
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
    }

    @GetMapping("/outbox")
    List<Outbox.Mail> outbox(@AuthenticationPrincipal SignedIn by) {
        return outbox.of(by.workspaceId());
    }

    /** What an invitation is for. */
    record InvitationView(String term, String by, String role, String name, boolean taken) {}

    @GetMapping("/invitations/{token}")
    @Transactional(readOnly = true)
    public InvitationView invitation(@PathVariable String token) {
        Colleague c = find(token);
        String by = entities.createQuery(
                        "select w.name from Workspace w, TermRecord t where t.id = :t and w.id = t.workspaceId",
                        String.class)
                .setParameter("t", c.termId)
                .getSingleResult();
        String term = entities.createQuery("select name from CalendarRow where termId = :t", String.class)
                .setParameter("t", c.termId)
                .getSingleResult();
        return new InvitationView(term, by, word(c.role), c.name, c.accountId != null);
    }

    /** An account to take the invitation with, where the person has none. */
    record InvitedAccount(
            @NotBlank(message = "Give a sign-in name.") @Size(max = 100, message = "At most 100 characters.")
            String signIn,

            @Size(min = 10, max = 72, message = "A password has 10 to 72 characters.")
            String password) {}

    /** Takes an invitation with a new account. Signing in with it is a step of its own. */
    @PostMapping(path = "/invitations/{token}/account", consumes = "application/json")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void takeWithAccount(@PathVariable String token, @Valid @RequestBody InvitedAccount account) {
        Colleague c = open(token);
        if (accounts.known(account.signIn())) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "sign-in-taken",
                    "That name is taken",
                    "Somebody signs in as “" + account.signIn().strip()
                            + "” already. If that is you, sign in first and open the link again; else choose another.");
        }
        c.accountId =
                accounts.create(account.signIn(), c.name, account.password()).accountId();
    }

    /** Takes an invitation as the one who is signed in. */
    @PostMapping("/invitations/{token}/take")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void take(@AuthenticationPrincipal SignedIn by, @PathVariable String token) {
        if (by == null) {
            throw new Problem(
                    HttpStatus.UNAUTHORIZED,
                    "not-signed-in",
                    "Not signed in",
                    "Sign in first, then open the link again.");
        }
        open(token).accountId = by.accountId();
    }

    private Colleague open(String token) {
        Colleague c = find(token);
        if (c.accountId != null) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "invitation-taken",
                    "Taken already",
                    "This invitation was taken before. Sign in with the account that took it.");
        }
        return c;
    }

    private Colleague find(String token) {
        return entities.createQuery("from Colleague where tokenHash = :h and withdrawn = false", Colleague.class)
                .setParameter("h", hash(token))
                .getResultStream()
                .findFirst()
                .orElseThrow(() -> new Problem(
                        HttpStatus.NOT_FOUND,
                        "no-such-invitation",
                        "No such invitation",
                        "This invitation does not exist or was withdrawn. Ask for a new one."));
    }

    private static String hash(String token) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    /** One class that a substitute takes. */
    record SheetClass(LocalDateTime start, LocalDateTime end, String place, List<String> lessons, List<String> due) {}

    /** What a substitute needs: the classes of some days with their lessons and what is due. */
    record Sheet(
            String term, String course, String section, LocalDate first, LocalDate last, List<SheetClass> classes) {}

    @GetMapping("/terms/{termId}/sheet")
    Sheet sheet(@AuthenticationPrincipal SignedIn by, @PathVariable long termId) {
        Access.Substitution part = access.substitute(by, termId);
        SectionSchedule in = Schedule.of(part.stored().decisions())
                .section(part.course(), part.section())
                .orElseThrow(() -> new Problem(
                        HttpStatus.NOT_FOUND,
                        "no-such-section",
                        "No such section",
                        "That section is no longer there."));
        List<SheetClass> classes = new ArrayList<>();
        for (Session session : in.sessions().all()) {
            LocalDate day = session.date();
            if (day.isBefore(part.first()) || day.isAfter(part.last())) {
                continue;
            }
            classes.add(new SheetClass(
                    session.start(),
                    session.end(),
                    session.place(),
                    in.lessonsOn(day).stream()
                            .map(p -> p.lesson().id() + " " + p.lesson().title())
                            .toList(),
                    in.dates().stream()
                            .filter(d ->
                                    d.main() != null && d.main().toLocalDate().equals(day))
                            .map(ItemDates::item)
                            .map(Item::title)
                            .toList()));
        }
        return new Sheet(
                part.stored().decisions().term().name(),
                part.course(),
                part.section(),
                part.first(),
                part.last(),
                classes);
    }
}
