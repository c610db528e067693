package app.matsuri.server.reset;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** A letter with which a password can be replaced once. */
@Entity
@Table(name = "password_reset")
@SuppressWarnings("NullAway.Init") // Hibernate fills it
class PasswordReset {

    /** Of what its address ends with. */
    @Id
    String hash;

    long accountId;
    Instant madeAt;
}
