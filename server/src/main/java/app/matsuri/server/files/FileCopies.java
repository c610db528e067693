package app.matsuri.server.files;

import jakarta.persistence.EntityManager;
import java.util.Collection;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Brings kept files along when something that uses them goes to another term. */
@Component
public class FileCopies {

    private final EntityManager entities;

    FileCopies(EntityManager entities) {
        this.entities = entities;
    }

    /** Keeps the files of one term with another too; those that it has already, or that are gone, are passed over. */
    @Transactional
    public void copy(long from, long to, Collection<String> files) {
        for (String id : files) {
            StoredFile was = entities.find(StoredFile.class, new StoredFile.Key(from, id));
            if (was == null || entities.find(StoredFile.class, new StoredFile.Key(to, id)) != null) {
                continue;
            }
            StoredFile copy = new StoredFile();
            copy.termId = to;
            copy.id = was.id;
            copy.name = was.name;
            copy.mediaType = was.mediaType;
            copy.size = was.size;
            copy.content = was.content;
            copy.storedAt = was.storedAt;
            entities.persist(copy);
        }
    }
}
