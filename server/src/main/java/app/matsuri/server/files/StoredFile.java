package app.matsuri.server.files;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.Instant;

/** A file kept with a term's data; its id is the SHA-256 of its content, so that the same file is kept once. */
@Entity
@Table(name = "stored_file")
@IdClass(StoredFile.Key.class)
@SuppressWarnings("NullAway.Init") // Hibernate fills it
class StoredFile {

    /** What names the row. */
    record Key(long termId, String id) {}

    @Id
    long termId;

    @Id
    String id;

    String name;
    String mediaType;
    long size;

    @Column(columnDefinition = "binary large object")
    byte[] content;

    Instant storedAt;
}
