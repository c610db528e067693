package app.matsuri.server.access;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** Someone who was invited to a term of another. */
@Entity
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public class Colleague {

    /** What a colleague may do. */
    public enum Role {
        /** May change everything in the term. */
        CO_TEACHER,
        /** May look at everything in the term. */
        READER,
        /** May see one section's days, from a first to a last one. */
        SUBSTITUTE
    }

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    public Long id;

    public long termId;

    @Enumerated(EnumType.STRING)
    public Role role;

    public String name;
    public String mail;
    public @Nullable String course;
    public @Nullable String section;
    public LocalDate firstDay;
    public LocalDate lastDay;
    public String tokenHash;
    public Long accountId;
    public Instant invitedAt;
    public boolean withdrawn;

    /** Whether an account that is made for it may make terms of its own. */
    public boolean makesTerms;

    /** For how many days an invitation can be taken. */
    public static final int DAYS_OPEN = 14;
}
