package app.matsuri.server.files;

import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.FileUse;
import app.matsuri.core.plan.Section;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The shelf: files that belong to no course; and where the files of terms are used. */
@RestController
class ShelfController {

    private final Access access;
    private final Shelf shelf;

    ShelfController(Access access, Shelf shelf) {
        this.access = access;
        this.shelf = shelf;
    }

    /**
     * The shelf, and what is used of files in all terms.
     *
     * @param used every use, in the order of the plans
     */
    record ShelfView(List<Shelf.OnShelf> files, List<FileUsed> used) {}

    /**
     * A use of a file.
     *
     * @param section the first of the course, in which it can be seen; empty where the course has none
     * @param what "unit", "lesson", "item" or "notice"
     * @param id of that thing
     * @param publish false where it is held back from students
     * @param from when students get it; null for not at a date
     * @param with what else they get it with, as in the plan file; null, as without a date, for as soon as the thing opens
     */
    record FileUsed(
            long termId,
            String term,
            String course,
            String section,
            String what,
            String id,
            String title,
            String file,
            String name,
            boolean publish,
            @Nullable LocalDateTime from,
            @Nullable String with) {}

    @GetMapping(path = "/api/shelf", produces = "application/json")
    ShelfView shelf(@AuthenticationPrincipal SignedIn by) {
        List<FileUsed> used = access.all(by).stream()
                .flatMap(seen -> used(seen.stored().termId(), seen.stored().decisions()).stream())
                .toList();
        return new ShelfView(shelf.all(by.workspaceId()), used);
    }

    private static List<FileUsed> used(long termId, Decisions decisions) {
        return StoredFiles.uses(decisions).stream()
                .map(use -> {
                    FileUse file = use.file();
                    return new FileUsed(
                            termId,
                            decisions.term().name(),
                            use.course(),
                            section(decisions, use.course()),
                            use.what(),
                            use.id(),
                            use.title(),
                            file.file(),
                            file.name(),
                            file.publish(),
                            file.from(),
                            file.with());
                })
                .toList();
    }

    private static String section(Decisions decisions, String course) {
        return decisions.course(course).stream()
                .flatMap(c -> c.sections().stream())
                .map(Section::code)
                .findFirst()
                .orElse("");
    }

    /** Puts a file on the shelf, in place of one of the same name. */
    @PostMapping(path = "/api/shelf", consumes = "application/octet-stream", produces = "application/json")
    @ResponseStatus(HttpStatus.CREATED)
    Shelf.OnShelf put(@AuthenticationPrincipal SignedIn by, @RequestParam String name, @RequestBody byte[] content) {
        return shelf.put(by.workspaceId(), name, content);
    }

    @GetMapping("/api/shelf/{id}")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "application/octet-stream", schema = @Schema(type = "string")))
    ResponseEntity<byte[]> file(@AuthenticationPrincipal SignedIn by, @PathVariable long id) {
        return shelf.content(by.workspaceId(), id).away();
    }

    @DeleteMapping("/api/shelf/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal SignedIn by, @PathVariable long id) {
        shelf.remove(by.workspaceId(), id);
    }

    /** Keeps a file of the shelf with a term, for something there to use. */
    @PostMapping(path = "/api/terms/{termId}/shelf/{id}", produces = "application/json")
    FileController.FileKept into(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @PathVariable long id) {
        access.change(by, termId);
        return shelf.into(termId, by.workspaceId(), id);
    }
}
