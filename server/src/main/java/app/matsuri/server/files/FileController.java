package app.matsuri.server.files;

import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
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

    private final Access access;
    private final StoredFiles files;

    FileController(Access access, StoredFiles files) {
        this.access = access;
        this.files = files;
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
        return files.keep(termId, name, content);
    }

    @Transactional(readOnly = true)
    @GetMapping("/{file}")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "application/octet-stream", schema = @Schema(type = "string")))
    ResponseEntity<byte[]> file(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @PathVariable String file) {
        access.look(by, termId);
        return files.kept(termId, file)
                .orElseThrow(() ->
                        new Problem(HttpStatus.NOT_FOUND, "no-file", "No file", "There is no such file in this term."))
                .away();
    }
}
