package app.matsuri.server.person;

import app.matsuri.exchange.plan.Json;
import app.matsuri.server.account.AccessLog;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.Confirmation;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.http.Problem;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.node.ObjectNode;

/** What is kept about people: given out, and taken out. */
@RestController
@RequestMapping(path = "/api", produces = "application/json")
class PersonController {

    private final PersonalData personal;
    private final StudentRecords students;
    private final Accounts accounts;
    private final Confirmation confirmation;
    private final AccessLog log;

    PersonController(
            PersonalData personal,
            StudentRecords students,
            Accounts accounts,
            Confirmation confirmation,
            AccessLog log) {
        this.personal = personal;
        this.students = students;
        this.accounts = accounts;
        this.confirmation = confirmation;
        this.log = log;
    }

    /**
     * How an account is closed.
     *
     * @param to what somebody signs in with who has the terms from then on; null or empty where there are none
     */
    record Closing(
            @NotBlank(message = "Give your password.") @Size(max = 1000, message = "At most 1000 characters.")
            String password,

            @Size(max = 100, message = "At most 100 characters.") @Nullable
            String to) {}

    /** A student who is taken out for good, on top of a version. */
    record StudentRemoval(
            long version,

            @NotBlank(message = "Say which student.") @Size(max = 1000, message = "At most 1000 characters.")
            String student) {}

    /** What the term is then. */
    record Removed(long version) {}

    private static ResponseEntity<String> file(String name, ObjectNode data) {
        ContentDisposition attached =
                ContentDisposition.attachment().filename(name + ".json").build();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, attached.toString())
                .header(HttpHeaders.CACHE_CONTROL, "no-store")
                .body(Json.write(data));
    }

    /** All that is kept about who is signed in. */
    @GetMapping("/me/data")
    ResponseEntity<String> data(@AuthenticationPrincipal SignedIn by) {
        return file("matsuri-data", personal.of(by));
    }

    /** Closes the account of who is signed in. */
    @PostMapping(path = "/me/closing", consumes = "application/json")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void close(@AuthenticationPrincipal SignedIn by, @Valid @RequestBody Closing closing, HttpServletRequest request) {
        confirmation.password(by, closing.password(), request, "closing of account");
        String name = closing.to() == null ? "" : closing.to().strip();
        SignedIn to = name.isEmpty()
                ? null
                : accounts.find(name)
                        .orElseThrow(() -> new Problem(
                                HttpStatus.CONFLICT,
                                "no-such-account",
                                "There is no such account",
                                "Nobody signs in as “" + name
                                        + "”. Ask them for their sign-in name. Nothing was changed."));
        personal.close(by, to);
        log.say("account closed, its terms to " + (to == null ? "nobody" : to.signIn()), by.signIn(), request);
    }

    /** All that a term keeps about a student. */
    @GetMapping("/terms/{termId}/student-data")
    ResponseEntity<String> student(
            @AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestParam String student) {
        return file("student-data", students.of(by, termId, student));
    }

    /** Takes all that a term keeps about a student out, out of its history too; it cannot be undone. */
    @PostMapping(path = "/terms/{termId}/student-removal", consumes = "application/json")
    Removed remove(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @Valid @RequestBody StudentRemoval removal,
            HttpServletRequest request) {
        long version = students.remove(by, termId, removal.version(), removal.student());
        log.say("a student taken out of term " + termId, by.signIn(), request);
        return new Removed(version);
    }
}
