package app.matsuri.server.files;

import app.matsuri.exchange.bundle.Bundle;
import app.matsuri.exchange.file.FileKind;
import app.matsuri.exchange.file.Given;
import app.matsuri.server.http.Problem;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The files of a workspace that belong to no course, until something uses them. */
@Component
class Shelf {

    /** The most that one workspace keeps on it, in bytes: 200 MB. */
    private static final long MOST_TOGETHER = 200_000_000;

    private final EntityManager entities;
    private final StoredFiles files;
    private final Clock clock;

    Shelf(EntityManager entities, StoredFiles files, Clock clock) {
        this.entities = entities;
        this.files = files;
        this.clock = clock;
    }

    /** A file on the shelf, without what is in it. */
    record OnShelf(long id, String name, String mediaType, long size, Instant storedAt) {}

    /** All of them, by name. */
    @Transactional(readOnly = true)
    public List<OnShelf> all(long workspaceId) {
        return entities.createQuery(
                        "select id, name, mediaType, size, storedAt from ShelfFile where workspaceId = :w"
                                + " order by lower(name), id",
                        Object[].class)
                .setParameter("w", workspaceId)
                .getResultStream()
                .map(row ->
                        new OnShelf((Long) row[0], (String) row[1], (String) row[2], (Long) row[3], (Instant) row[4]))
                .toList();
    }

    /**
     * Puts a file on it, in place of one of the same name; what is there already under another name has that of now.
     *
     * @throws Problem when it has no name, or too much is kept
     */
    @Transactional
    public OnShelf put(long workspaceId, String name, byte[] content) {
        String shown = StoredFiles.named(name);
        String digest = Bundle.digest(content);
        Long had = entities.createQuery(
                        "select sum(size) from ShelfFile where workspaceId = :w and name <> :n", Long.class)
                .setParameter("w", workspaceId)
                .setParameter("n", shown)
                .getSingleResult();
        if ((had == null ? 0 : had) + content.length > MOST_TOGETHER) {
            throw new Problem(
                    HttpStatus.CONTENT_TOO_LARGE,
                    "shelf-full",
                    "No room",
                    "The shelf has 200 MB, which is all that is kept. Take something off it first.");
        }
        entities.createQuery("delete from ShelfFile where workspaceId = :w and (name = :n or digest = :d)")
                .setParameter("w", workspaceId)
                .setParameter("n", shown)
                .setParameter("d", digest)
                .executeUpdate();
        ShelfFile file = new ShelfFile();
        file.workspaceId = workspaceId;
        file.digest = digest;
        file.name = shown;
        file.mediaType = FileKind.of(new Given(shown, content));
        file.size = content.length;
        file.content = content;
        file.storedAt = Instant.now(clock);
        entities.persist(file);
        entities.flush();
        entities.clear();
        return new OnShelf(file.id, file.name, file.mediaType, file.size, file.storedAt);
    }

    /**
     * What is in a file of it.
     *
     * @throws Problem when there is no such file
     */
    @Transactional(readOnly = true)
    public StoredFiles.Content content(long workspaceId, long id) {
        ShelfFile file = of(workspaceId, id);
        if (file == null) {
            throw none();
        }
        entities.clear();
        return new StoredFiles.Content(file.name, file.mediaType, file.content);
    }

    /** Takes a file off; what uses it keeps it. */
    @Transactional
    public void remove(long workspaceId, long id) {
        ShelfFile file = of(workspaceId, id);
        if (file == null) {
            throw none();
        }
        entities.remove(file);
    }

    /** Keeps a file of it with a term, too. */
    @Transactional
    public FileController.FileKept into(long termId, long workspaceId, long id) {
        StoredFiles.Content content = content(workspaceId, id);
        return files.keep(termId, content.name(), content.bytes());
    }

    private @Nullable ShelfFile of(long workspaceId, long id) {
        ShelfFile file = entities.find(ShelfFile.class, id);
        return file == null || file.workspaceId != workspaceId ? null : file;
    }

    private static Problem none() {
        return new Problem(
                HttpStatus.NOT_FOUND, "no-file", "No file", "There is no such file on the shelf. Nothing was changed.");
    }
}
