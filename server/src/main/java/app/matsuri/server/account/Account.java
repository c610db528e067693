package app.matsuri.server.account;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A person who may sign in. */
@Entity
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public class Account {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    public Long id;

    public long workspaceId;
    public String signIn;
    public String displayName;
    public String passwordHash;
    public Instant createdAt;
    public boolean twelveHours;
    public String weekStart = "MO";

    /** Whether the person was invited to look or to stand in only, and makes no terms. */
    public boolean guest;

    /** Whether whoever runs the server keeps the person out. */
    public boolean locked;

    /** Where reminders for who teaches go; empty for nowhere. */
    public String mail = "";

    /** Minutes before the next class at which the person is told of it; null for not. */
    public @Nullable Integer classReminder;

    /** A {@link Display} as JSON; null for the usual one. */
    public @Nullable String display;

    /** The key of the second factor in base 32; null where it is off. */
    public @Nullable String factorKey;

    /** One of which no code was typed yet; null for none. */
    public @Nullable String factorBegun;

    /** Where the person signs in by OpenID Connect; null for nowhere else than here. */
    @Column(name = "openid_issuer")
    public @Nullable String openIdIssuer;

    /** What the person is there. */
    @Column(name = "openid_subject")
    public @Nullable String openIdSubject;

    /** Whether the password is one that nobody knows. */
    public boolean noPassword;

    /** The last half minute of which a code was taken, counted from 1970. */
    public long factorStep;
}
