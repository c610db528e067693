package app.matsuri.server.account;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;

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
}
