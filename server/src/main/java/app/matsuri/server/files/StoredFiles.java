package app.matsuri.server.files;

import app.matsuri.core.findings.Finding;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.FileUse;
import app.matsuri.exchange.bundle.Bundle;
import app.matsuri.exchange.file.FileKind;
import app.matsuri.exchange.file.Given;
import app.matsuri.server.findings.BesidePlan;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.Stored;
import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The files that are kept with a term's data, for lessons and work to use. Callers have made sure that the term is the person's. */
@Component
public class StoredFiles implements BesidePlan {

    /** The most that one term keeps, in bytes: 200 MB. */
    private static final long MOST_TOGETHER = 200_000_000;

    private final EntityManager entities;
    private final Clock clock;

    StoredFiles(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    /** A file as a unit, a lesson, work or a notice uses it. */
    public record Use(String course, String what, String id, String title, FileUse file) {

        /** That the file is not kept with the term. */
        public Finding finding() {
            return new Finding(
                    "file-missing",
                    Finding.Severity.WARNING,
                    new Finding.About(what, course, "", id),
                    "“" + file.name() + "”, attached to “" + title + "”, is not kept here: attach it again.",
                    null);
        }
    }

    /** Every use of a file in a plan, in its order. */
    public static List<Use> uses(Decisions decisions) {
        List<Use> uses = new ArrayList<>();
        for (Course course : decisions.courses()) {
            course.units()
                    .forEach(u ->
                            u.files().forEach(f -> uses.add(new Use(course.code(), "unit", u.id(), u.title(), f))));
            course.besides()
                    .notices()
                    .forEach(n ->
                            n.files().forEach(f -> uses.add(new Use(course.code(), "notice", n.id(), n.title(), f))));
            course.lessons()
                    .forEach(l -> l.details()
                            .files()
                            .forEach(f -> uses.add(new Use(course.code(), "lesson", l.id(), l.title(), f))));
            course.items()
                    .forEach(i -> i.details()
                            .files()
                            .forEach(f -> uses.add(new Use(course.code(), "item", i.id(), i.title(), f))));
        }
        return uses;
    }

    @Override
    @Transactional(readOnly = true)
    public List<Finding> findings(Stored stored) {
        return missing(stored.termId(), stored.decisions()).stream()
                .map(Use::finding)
                .toList();
    }

    /** The uses of files that are not kept with the term. */
    @Transactional(readOnly = true)
    public List<Use> missing(long termId, Decisions decisions) {
        return uses(decisions).stream()
                .filter(u -> find(termId, u.file().file()) == null)
                .toList();
    }

    /** A file as it is kept. */
    public record Content(String name, String mediaType, byte[] bytes) {

        /** The file as an answer that is stored and not shown. */
        public ResponseEntity<byte[]> away() {
            return ResponseEntity.ok()
                    .header("Content-Type", mediaType)
                    .header(
                            "Content-Disposition",
                            ContentDisposition.attachment()
                                    .filename(name, StandardCharsets.UTF_8)
                                    .build()
                                    .toString())
                    .body(bytes);
        }
    }

    /** A file; empty where the term has no such file. */
    @Transactional(readOnly = true)
    public Optional<Content> kept(long termId, String file) {
        StoredFile found = entities.find(StoredFile.class, new StoredFile.Key(termId, file));
        entities.clear();
        return Optional.ofNullable(found).map(f -> new Content(f.name, f.mediaType, f.content));
    }

    /** The content of a file; null where the term has no such file. */
    @Transactional(readOnly = true)
    public byte @Nullable [] content(long termId, String file) {
        return kept(termId, file).map(Content::bytes).orElse(null);
    }

    private @Nullable Long find(long termId, String file) {
        return Stream.of(file)
                .flatMap(f -> entities.createQuery(
                                "select size from StoredFile where termId = :t and id = :f", Long.class)
                        .setParameter("t", termId)
                        .setParameter("f", f)
                        .getResultStream())
                .findFirst()
                .orElse(null);
    }

    /**
     * Keeps a file; one that the term has already is kept once.
     *
     * @throws Problem when it has no name, or the term keeps too much
     */
    @Transactional
    FileController.FileKept keep(long termId, String name, byte[] content) {
        String shown = named(name);
        String type = FileKind.of(new Given(shown, content));
        String id = Bundle.digest(content);
        if (find(termId, id) == null) {
            Long had = entities.createQuery("select sum(size) from StoredFile where termId = :t", Long.class)
                    .setParameter("t", termId)
                    .getSingleResult();
            if ((had == null ? 0 : had) + content.length > MOST_TOGETHER) {
                throw new Problem(
                        HttpStatus.CONTENT_TOO_LARGE,
                        "files-full",
                        "No room",
                        "The files of this term have 200 MB, which is all that is kept. Keep a link instead.");
            }
            StoredFile file = new StoredFile();
            file.termId = termId;
            file.id = id;
            file.name = shown;
            file.mediaType = type;
            file.size = content.length;
            file.content = content;
            file.storedAt = Instant.now(clock);
            entities.persist(file);
            entities.flush();
            entities.clear();
        }
        return new FileController.FileKept(id, shown, type, content.length);
    }

    /**
     * A file's name as it is shown.
     *
     * @throws Problem when nothing of it is left
     */
    static String named(String name) {
        String shown = name.replaceAll("[\\\\/\\p{Cntrl}]", "_").strip();
        shown = shown.substring(Math.max(0, shown.length() - 300));
        if (shown.isEmpty()) {
            throw new Problem(HttpStatus.BAD_REQUEST, "no-name", "No name", "Give the file a name.");
        }
        return shown;
    }

    /** Keeps a file of a bundle with a term. */
    @Transactional
    public void bring(long termId, String name, byte[] content) {
        keep(termId, name.isBlank() ? "file" : name, content);
    }
}
