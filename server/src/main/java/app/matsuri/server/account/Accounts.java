package app.matsuri.server.account;

import app.matsuri.server.http.Problem;
import app.matsuri.server.settings.MatsuriProperties;
import app.matsuri.server.settings.Tokens;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** The people who may sign in. */
@Component
public class Accounts implements UserDetailsService {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** In place of the hash of the password of who closed their account. */
    private static final String CLOSED = "{closed}";

    private final EntityManager entities;
    private final PasswordEncoder encoder;
    private final Clock clock;
    private final int most;

    Accounts(EntityManager entities, PasswordEncoder encoder, Clock clock, MatsuriProperties settings) {
        this.entities = entities;
        this.encoder = encoder;
        this.clock = clock;
        this.most = settings.mostAccounts();
    }

    @Transactional(readOnly = true)
    public boolean none() {
        return entities.createQuery("select count(*) from Account", Long.class).getSingleResult() == 0;
    }

    /** Whether somebody signs in so. */
    @Transactional(readOnly = true)
    public boolean known(String signIn) {
        return find(signIn).isPresent();
    }

    /** Whether there are as many accounts as there may be; closed ones are not counted. */
    @Transactional(readOnly = true)
    public boolean full() {
        return entities.createQuery("select count(*) from Account where passwordHash <> :closed", Long.class)
                        .setParameter("closed", CLOSED)
                        .getSingleResult()
                >= most;
    }

    /**
     * Makes an account with a workspace of its own.
     *
     * @throws Problem where there are as many as there may be
     */
    @Transactional
    public SignedIn create(String signIn, String displayName, String password) {
        return create(signIn, displayName, password, false);
    }

    /**
     * Likewise.
     *
     * @param guest whether it makes no terms
     * @throws Problem where there are as many as there may be
     */
    @Transactional
    public SignedIn create(String signIn, String displayName, String password, boolean guest) {
        if (full()) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "too-many-accounts",
                    "No room for another account",
                    "This server has " + most + " accounts, as many as it is set to have. Ask whoever runs it for more"
                            + " room. Nothing was stored.");
        }
        Workspace workspace = new Workspace();
        workspace.name = displayName;
        entities.persist(workspace);
        Account account = new Account();
        account.workspaceId = workspace.id;
        account.signIn = signIn.strip().toLowerCase(Locale.ROOT);
        account.displayName = displayName.strip();
        account.passwordHash = encoder.encode(password);
        account.createdAt = Instant.now(clock);
        account.guest = guest;
        entities.persist(account);
        entities.flush();
        return signedIn(account);
    }

    /** Likewise, for who signs in elsewhere; nobody knows its password. */
    @Transactional
    public SignedIn createElsewhere(String signIn, String displayName, String issuer, String subject, boolean guest) {
        SignedIn made = create(signIn, displayName, Tokens.fresh(), guest);
        connect(made, issuer, subject);
        entities.find(Account.class, made.accountId()).noPassword = true;
        return made;
    }

    /** Who signs in elsewhere so; empty for nobody. */
    @Transactional(readOnly = true)
    public Optional<SignedIn> known(String issuer, String subject) {
        return entities.createQuery("from Account where openIdIssuer = :i and openIdSubject = :s", Account.class)
                .setParameter("i", issuer)
                .setParameter("s", subject)
                .getResultStream()
                .findFirst()
                .map(Accounts::signedIn);
    }

    /** Where a person signs in from now on besides here; nulls for nowhere. */
    @Transactional
    public void connect(SignedIn by, @Nullable String issuer, @Nullable String subject) {
        Account account = entities.find(Account.class, by.accountId());
        account.openIdIssuer = issuer;
        account.openIdSubject = subject;
    }

    /** Whether a person signs in elsewhere too. */
    @Transactional(readOnly = true)
    public boolean connected(SignedIn by) {
        return entities.find(Account.class, by.accountId()).openIdIssuer != null;
    }

    /** Whether a person has a password here that they know. */
    @Transactional(readOnly = true)
    public boolean hasPassword(SignedIn by) {
        return !entities.find(Account.class, by.accountId()).noPassword;
    }

    /** Whether a person is kept out. */
    @Transactional(readOnly = true)
    public boolean locked(SignedIn by) {
        return entities.find(Account.class, by.accountId()).locked;
    }

    @Override
    @Transactional(readOnly = true)
    public SignedIn loadUserByUsername(String signIn) {
        // who is kept out hears the same as who has no account
        return find(signIn)
                .filter(by -> !locked(by))
                .orElseThrow(() -> new UsernameNotFoundException("no such account"));
    }

    /**
     * Whether a person may make terms.
     *
     * @throws Problem where not
     */
    @Transactional(readOnly = true)
    public void makesTerms(SignedIn by) {
        if (entities.find(Account.class, by.accountId()).guest) {
            throw new Problem(
                    HttpStatus.FORBIDDEN,
                    "guest",
                    "You were invited to look",
                    "Your account is for what you were invited to; it makes no terms of its own. Ask who invited you"
                            + " for more. Nothing was stored.");
        }
    }

    /**
     * An account as whoever runs the server sees it.
     *
     * @param terms how many its workspace has, without deleted ones
     */
    public record Line(
            long id, String signIn, String displayName, boolean guest, boolean locked, Instant createdAt, long terms) {}

    /** All of them, in the order in which they were made. */
    @Transactional(readOnly = true)
    public List<Line> lines() {
        return entities.createQuery(
                        "select a, (select count(*) from TermRecord t where t.workspaceId = a.workspaceId and t.deletedAt"
                                + " is null) from Account a order by a.id",
                        Object[].class)
                .getResultStream()
                .map(row -> {
                    Account a = (Account) row[0];
                    return new Line(
                            a.id,
                            a.signIn,
                            a.displayName,
                            a.guest,
                            a.locked,
                            a.createdAt,
                            ((Number) row[1]).longValue());
                })
                .toList();
    }

    /** Keeps a person out, or lets them in again. */
    @Transactional
    public void lock(SignedIn by, boolean locked) {
        entities.find(Account.class, by.accountId()).locked = locked;
    }

    /** Takes everything of the person out of their account, with which nobody signs in any more. */
    @Transactional
    public void close(SignedIn by) {
        Account account = entities.find(Account.class, by.accountId());
        account.signIn = "closed account " + account.id;
        account.displayName = "Closed account " + account.id;
        account.passwordHash = CLOSED;
        account.mail = "";
        account.display = null;
        account.classReminder = null;
        account.factorKey = null;
        account.factorBegun = null;
        account.openIdIssuer = null;
        account.openIdSubject = null;
        account.locked = true;
        entities.find(Workspace.class, account.workspaceId).name = account.displayName;
    }

    /** Gives a person another password, whatever the one so far is. */
    @Transactional
    public void reset(SignedIn by, String other) {
        Account account = entities.find(Account.class, by.accountId());
        account.passwordHash = encoder.encode(other);
        account.noPassword = false;
    }

    /** What the people of a workspace sign in with. */
    @Transactional(readOnly = true)
    public String namesOf(long workspaceId) {
        return String.join(
                ", ",
                entities.createQuery("select signIn from Account where workspaceId = :w order by id", String.class)
                        .setParameter("w", workspaceId)
                        .getResultList());
    }

    /** Who signs in so; empty for nobody. */
    @Transactional(readOnly = true)
    public Optional<SignedIn> find(String signIn) {
        if (signIn.indexOf(0) >= 0) {
            return Optional.empty(); // not every database is asked for a NUL
        }
        return entities.createQuery("from Account where signIn = :s", Account.class)
                .setParameter("s", signIn.strip().toLowerCase(Locale.ROOT))
                .getResultStream()
                .findFirst()
                .map(Accounts::signedIn);
    }

    /** How the person reads times and weeks. */
    @Transactional(readOnly = true)
    public Preferences preferences(SignedIn by) {
        Account account = entities.find(Account.class, by.accountId());
        return new Preferences(
                account.twelveHours, account.weekStart, account.mail, account.classReminder, display(account));
    }

    /** Minutes before the next class at which somebody of a workspace wants to be told of it; null for nobody. */
    @Transactional(readOnly = true)
    public @Nullable Integer classReminder(long workspaceId) {
        return entities.createQuery(
                        "select classReminder from Account where workspaceId = :w and classReminder is not null order by id",
                        Integer.class)
                .setParameter("w", workspaceId)
                .getResultStream()
                .findFirst()
                .orElse(null);
    }

    /** Keeps how the person reads times and weeks. */
    @Transactional
    public void prefer(SignedIn by, Preferences preferences) {
        Account account = entities.find(Account.class, by.accountId());
        account.twelveHours = preferences.twelveHours();
        account.weekStart = preferences.weekStart();
        account.mail = preferences.mail() == null ? "" : preferences.mail().strip();
        account.classReminder = preferences.classReminder();
        if (preferences.display() != null) {
            account.display = JSON.writeValueAsString(preferences.display());
        }
    }

    /**
     * Makes sure that it is the person, once more.
     *
     * @throws Problem when the password is not theirs
     */
    @Transactional(readOnly = true)
    public void password(SignedIn by, String now) {
        Account account = entities.find(Account.class, by.accountId());
        if (account.noPassword) {
            throw new Problem(
                    HttpStatus.CONFLICT,
                    "no-password",
                    "You have no password here yet",
                    "You sign in elsewhere. Sign out and ask for a password with “Password forgotten?”, or ask whoever"
                            + " runs this server for one; then come back. Nothing was changed.");
        }
        if (!encoder.matches(now, account.passwordHash)) {
            throw new Problem(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "wrong-password",
                    "That is not your password",
                    "The password that you have now was not typed right. Nothing was changed; try again.");
        }
    }

    /** Whose an account is. */
    @Transactional(readOnly = true)
    public SignedIn byId(long accountId) {
        return signedIn(entities.find(Account.class, accountId));
    }

    /** Where a person is written to; empty for nowhere. */
    @Transactional(readOnly = true)
    public String mail(SignedIn by) {
        return entities.find(Account.class, by.accountId()).mail;
    }

    /** Where a person is written to from now on. */
    @Transactional
    public void writeTo(SignedIn by, String mail) {
        entities.find(Account.class, by.accountId()).mail = mail.strip();
    }

    /** Somebody who teaches and is written to. */
    public record Teacher(String name, String mail) {}

    /**
     * Who of a workspace is reminded by mail.
     *
     * @param before what the reminder comes before, as {@link Display#mutedReminders} has it
     */
    @Transactional(readOnly = true)
    public List<Teacher> reminded(long workspaceId, String before) {
        return entities.createQuery("from Account where workspaceId = :w order by id", Account.class)
                .setParameter("w", workspaceId)
                .getResultStream()
                .filter(account -> !display(account).mutedReminders().contains(before))
                .map(account -> new Teacher(account.displayName, account.mail))
                .toList();
    }

    private static Display display(Account account) {
        return account.display == null ? Display.USUAL : JSON.readValue(account.display, Display.class);
    }

    private static SignedIn signedIn(Account account) {
        return new SignedIn(account.id, account.workspaceId, account.signIn, account.displayName, account.passwordHash);
    }
}
