package app.matsuri.server.calendar;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Files as they were given, kept so that they can be read again. */
@Component
public class Sources {

    private final EntityManager entities;

    Sources(EntityManager entities) {
        this.entities = entities;
    }

    /** A kept file. */
    public record SourceLine(String name, Instant readAt) {}

    @Transactional(readOnly = true)
    public List<SourceLine> of(long termId) {
        return entities.createQuery("from SourceFile where termId = :t order by name", SourceFile.class)
                .setParameter("t", termId)
                .getResultStream()
                .map(f -> new SourceLine(f.name, f.readAt))
                .toList();
    }

    /** What the file held when it was kept last; null where it was not. */
    @Transactional(readOnly = true)
    public byte @Nullable [] content(long termId, String name) {
        SourceFile file = entities.find(SourceFile.class, new SourceFile.Key(termId, name));
        return file == null ? null : file.content;
    }

    /** Keeps a file, in place of an earlier one of the name. */
    @Transactional
    public void keep(long termId, String name, byte[] content, Instant now) {
        SourceFile file = new SourceFile();
        file.termId = termId;
        file.name = name.length() > 200 ? name.substring(name.length() - 200) : name;
        file.content = content;
        file.readAt = now;
        entities.merge(file);
    }
}
