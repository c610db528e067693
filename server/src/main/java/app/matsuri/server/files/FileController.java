package app.matsuri.server.files;

import app.matsuri.exchange.file.FileKind;
import app.matsuri.exchange.file.Given;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.colleague.Access;
import app.matsuri.server.http.Problem;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Instant;
import java.util.HexFormat;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Files kept with a term's data, for lessons and items to use. */
@RestController
@RequestMapping(path = "/api/terms/{termId}/files")
class FileController {

    /** The most that one term keeps, in bytes: 200 MB. */
    private static final long MOST_TOGETHER = 200_000_000;

    private final Access access;
    private final EntityManager entities;
    private final Clock clock;

    FileController(Access access, EntityManager entities, Clock clock) {
        this.access = access;
        this.entities = entities;
        this.clock = clock;
    }

    /** A file that was kept. */
    record FileKept(String file, String name, String mediaType, long size) {}

    @Transactional
    @PostMapping(consumes = "application/octet-stream", produces = "application/json")
    FileKept keep(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam String name,
            @RequestBody byte[] content) {
        access.change(by, termId);
        String shown = name.replaceAll("[\\\\/\\p{Cntrl}]", "_").strip();
        shown = shown.substring(Math.max(0, shown.length() - 300));
        if (shown.isEmpty()) {
            throw new Problem(HttpStatus.BAD_REQUEST, "no-name", "No name", "Give the file a name.");
        }
        String type = FileKind.of(new Given(shown, content));
        String id = digest(content);
        if (entities.find(StoredFile.class, new StoredFile.Key(termId, id)) == null) {
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
        }
        return new FileKept(id, shown, type, content.length);
    }

    private static String digest(byte[] content) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(content));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    @Transactional(readOnly = true)
    @GetMapping("/{file}")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "application/octet-stream", schema = @Schema(type = "string")))
    ResponseEntity<byte[]> file(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @PathVariable String file) {
        access.look(by, termId);
        StoredFile found = entities.find(StoredFile.class, new StoredFile.Key(termId, file));
        if (found == null) {
            throw new Problem(HttpStatus.NOT_FOUND, "no-file", "No file", "There is no such file in this term.");
        }
        return ResponseEntity.ok()
                .header("Content-Type", found.mediaType)
                .header(
                        "Content-Disposition",
                        ContentDisposition.attachment()
                                .filename(found.name, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(found.content);
    }
}
