package app.matsuri.server.files;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** A file of a workspace that belongs to no course. */
@Entity
@Table(name = "shelf_file")
@SuppressWarnings("NullAway.Init") // Hibernate fills it
class ShelfFile {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    long workspaceId;

    /** SHA-256 of its content: the same is kept once. */
    String digest;

    String name;
    String mediaType;
    long size;

    @Column(columnDefinition = "binary large object")
    byte[] content;

    Instant storedAt;
}
