package app.matsuri.server.bundle;

import app.matsuri.exchange.plan.Fault;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.Stored;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Bundles over HTTP. */
@RestController
@RequestMapping("/api")
class BundleController {

    private final Access access;
    private final Bundles bundles;

    BundleController(Access access, Bundles bundles) {
        this.access = access;
        this.bundles = bundles;
    }

    /** A term that was made from a bundle, with what is worth knowing about it. */
    record OpenedBundle(long id, List<Fault> faults) {}

    @GetMapping("/terms/{termId}/bundle")
    @Operation(summary = "The term as one .zip: its plan file, what is attached, and its history where asked for")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "application/zip", schema = @Schema(type = "string", format = "binary")))
    void bundle(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam(defaultValue = "false") boolean history,
            HttpServletResponse response)
            throws IOException {
        Stored stored = access.stands(by, termId);
        String name = stored.decisions()
                .term()
                .name()
                .replaceAll("[^\\p{L}\\p{N}]+", "-")
                .toLowerCase();
        response.setContentType("application/zip");
        response.setHeader(
                "Content-Disposition",
                ContentDisposition.attachment()
                        .filename((name.isEmpty() ? "term" : name) + ".zip", StandardCharsets.UTF_8)
                        .build()
                        .toString());
        bundles.write(stored, history && !stored.shortened(), response.getOutputStream());
    }

    @PostMapping(path = "/bundles", consumes = "application/octet-stream", produces = "application/json")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(summary = "Makes a term from a bundle")
    OpenedBundle open(@AuthenticationPrincipal SignedIn by, HttpServletRequest request) throws IOException {
        if (request.getContentLengthLong() < 0) {
            throw new Problem(
                    HttpStatus.LENGTH_REQUIRED, "no-length", "No length", "The request does not say how long it is.");
        }
        Path file = Files.createTempFile("bundle", ".zip");
        try {
            try (InputStream body = request.getInputStream()) {
                Files.copy(body, file, StandardCopyOption.REPLACE_EXISTING);
            }
            Bundles.Opened opened = bundles.open(by, file);
            return new OpenedBundle(opened.termId(), opened.faults());
        } finally {
            Files.deleteIfExists(file);
        }
    }
}
