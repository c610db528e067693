package app.matsuri.server.page;

import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.link.Links;
import app.matsuri.server.link.PublicLink;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** What a link shows, to be kept after the term. */
@RestController
class ArchiveController {

    private final Access access;
    private final Links links;
    private final Seeing seeing;
    private final PagesArchive archive;

    ArchiveController(Access access, Links links, Seeing seeing, PagesArchive archive) {
        this.access = access;
        this.links = links;
        this.seeing = seeing;
        this.archive = archive;
    }

    @GetMapping("/api/terms/{termId}/links/{linkId}/pages.zip")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "application/zip", schema = @Schema(type = "string")))
    ResponseEntity<byte[]> pages(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @PathVariable long linkId) {
        access.change(by, termId);
        PublicLink link = links.find(access.workspace(termId), linkId);
        return ResponseEntity.ok()
                .header("Content-Type", "application/zip")
                .header("Content-Disposition", "attachment; filename=\"pages.zip\"")
                .body(archive.zip(seeing.seen(link, links.token(link))));
    }
}
