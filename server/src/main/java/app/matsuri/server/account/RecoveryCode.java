package app.matsuri.server.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;

/** A code for when the phone of the second factor is lost, kept as its hash and taken once. */
@Entity
@Table(name = "recovery_code")
@IdClass(RecoveryCode.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
class RecoveryCode {

    /** What names the row. */
    record Key(long accountId, String hash) {}

    @Id
    long accountId;

    @Id
    String hash;

    RecoveryCode() {}

    RecoveryCode(long accountId, String hash) {
        this.accountId = accountId;
        this.hash = hash;
    }
}
