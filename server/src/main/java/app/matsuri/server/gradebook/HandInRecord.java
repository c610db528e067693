package app.matsuri.server.gradebook;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.LocalDateTime;

/** What a student handed in, as the simulated grade book has it. No decision: no change and no undo touches it. */
@Entity
@Table(name = "hand_in")
@IdClass(HandInRecord.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
final class HandInRecord {

    /** What names the row. */
    record Key(long termId, String course, String item, String student) {}

    @Id
    long termId;

    @Id
    String course;

    @Id
    String item;

    @Id
    String student;

    LocalDateTime handedIn;
}
