package app.matsuri.server.mail;

import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The letters of a workspace, as they went out or would have. */
@RestController
@RequestMapping(path = "/api/outbox", produces = "application/json")
class OutboxController {

    private final Letters letters;

    OutboxController(Letters letters) {
        this.letters = letters;
    }

    /**
     * A letter.
     *
     * @param body plain words
     * @param html whether it has a page too
     * @param state "waiting", "sending", "sent", "failed", "missed" or "unsure"
     * @param fault what the mail server said last; empty for nothing
     * @param sentAt in the zone of the term that it is of
     */
    record Mail(
            long id,
            String recipient,
            String subject,
            String body,
            boolean html,
            String state,
            String fault,
            LocalDateTime sentAt) {

        static Mail of(Letter letter) {
            return new Mail(
                    letter.id,
                    letter.recipient,
                    letter.subject,
                    letter.body,
                    !letter.html.isEmpty(),
                    letter.state.name().toLowerCase(Locale.ROOT),
                    letter.fault,
                    LocalDateTime.ofInstant(letter.moment, ZoneId.of(letter.zone)));
        }
    }

    @GetMapping
    List<Mail> all(@AuthenticationPrincipal SignedIn by) {
        return letters.of(by.workspaceId()).stream().map(Mail::of).toList();
    }

    /** Has a letter that did not go out, or of which that is not known, go out once more. */
    @PostMapping("/{id}/again")
    Mail again(@AuthenticationPrincipal SignedIn by, @PathVariable long id) {
        return letters.again(by.workspaceId(), id).map(Mail::of).orElseThrow(OutboxController::none);
    }

    /** A letter as it goes over the wire, by RFC 5322. */
    @GetMapping(path = "/{id}/letter.eml", produces = "message/rfc822")
    ResponseEntity<byte[]> wire(@AuthenticationPrincipal SignedIn by, @PathVariable long id) {
        return ResponseEntity.ok()
                .header("Content-Disposition", "attachment; filename=\"letter-" + id + ".eml\"")
                .body(letters.wire(letter(by, id)));
    }

    /** A letter as its reader sees it: without scripts, and with nothing from elsewhere. */
    @GetMapping(path = "/{id}/page", produces = MediaType.TEXT_HTML_VALUE)
    ResponseEntity<String> page(@AuthenticationPrincipal SignedIn by, @PathVariable long id) {
        return ResponseEntity.ok()
                .header(
                        "Content-Security-Policy",
                        "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'self'")
                .body(letter(by, id).html);
    }

    private Letter letter(SignedIn by, long id) {
        return letters.of(by.workspaceId(), id).orElseThrow(OutboxController::none);
    }

    private static Problem none() {
        return new Problem(
                HttpStatus.NOT_FOUND,
                "no-such-letter",
                "No such letter",
                "There is no such letter. Look at the list again.");
    }
}
