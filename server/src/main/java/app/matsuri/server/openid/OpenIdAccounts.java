package app.matsuri.server.openid;

import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.settings.OpenIdProperties;
import app.matsuri.server.settings.OpenIdProperties.NewAccounts;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.security.oauth2.core.oidc.user.OidcUser;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Whose account a sign-in at the provider is for. */
@Component
class OpenIdAccounts {

    private static final int LONGEST = 90;

    private final Accounts accounts;
    private final OpenIdProperties settings;

    OpenIdAccounts(Accounts accounts, OpenIdProperties settings) {
        this.accounts = accounts;
        this.settings = settings;
    }

    /** Why nobody was signed in, as the sign-in page is told. */
    enum Refused {
        NO_ACCOUNT,
        LOCKED,
        TAKEN,
        NO_ROOM
    }

    /** Somebody, or why nobody. */
    record Answer(Optional<SignedIn> by, Optional<Refused> refused) {

        static Answer of(SignedIn by) {
            return new Answer(Optional.of(by), Optional.empty());
        }

        static Answer refused(Refused why) {
            return new Answer(Optional.empty(), Optional.of(why));
        }
    }

    /**
     * Who signs in: whoever is known by issuer and subject, and by nothing else, as names and addresses change hands. Others get
     * an account where that is set.
     */
    @Transactional
    public Answer signedIn(OidcUser who) {
        Optional<SignedIn> known = accounts.known(issuer(who), who.getName());
        if (known.isPresent()) {
            return accounts.locked(known.get()) ? Answer.refused(Refused.LOCKED) : Answer.of(known.get());
        }
        // the first account of all is made with the code that the start prints
        if (settings.newAccounts() == NewAccounts.NOBODY || accounts.none()) {
            return Answer.refused(Refused.NO_ACCOUNT);
        }
        if (accounts.full()) {
            return Answer.refused(Refused.NO_ROOM);
        }
        String name = free(who);
        String shown = Stream.of(who.getFullName(), who.getPreferredUsername())
                .filter(said -> said != null && !said.isBlank())
                .findFirst()
                .orElse(name);
        SignedIn made = accounts.createElsewhere(
                name, cut(shown), issuer(who), who.getName(), settings.newAccounts() == NewAccounts.GUESTS);
        if (who.getEmail() != null
                && Boolean.TRUE.equals(who.getEmailVerified())
                && who.getEmail().length() <= 200) {
            accounts.writeTo(made, who.getEmail());
        }
        return Answer.of(made);
    }

    /** Connects an account with who signed in at the provider. */
    @Transactional
    public Answer connect(long accountId, OidcUser who) {
        SignedIn by = accounts.byId(accountId);
        Optional<SignedIn> known = accounts.known(issuer(who), who.getName());
        if (known.isPresent() && known.get().accountId() != accountId) {
            return Answer.refused(Refused.TAKEN);
        }
        accounts.connect(by, issuer(who), who.getName());
        return Answer.of(by);
    }

    private static String issuer(OidcUser who) {
        return Objects.requireNonNull(who.getIssuer(), "the issuer was checked").toString();
    }

    private static String cut(String text) {
        String plain = text.replaceAll("[\\p{Cntrl}\\p{Cf}\\uD800-\\uDFFF]", "").strip();
        return plain.substring(0, Math.min(LONGEST, plain.length()));
    }

    /** What an account for somebody is signed in with by password, should it have one: what the provider says, made one's own. */
    private String free(OidcUser who) {
        String wanted = Stream.of(who.getPreferredUsername(), who.getEmail(), who.getName())
                .filter(Objects::nonNull)
                .map(said -> cut(said.toLowerCase(Locale.ROOT)))
                .filter(said -> !said.isBlank())
                .findFirst()
                .orElse("somebody");
        String free = wanted;
        for (int n = 2; accounts.known(free); n++) {
            free = wanted + " " + n;
        }
        return free;
    }
}
