package app.matsuri.server.term;

import app.matsuri.core.calendar.Term;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.session.Sessions;
import app.matsuri.exchange.outline.DayWords;
import app.matsuri.exchange.outline.DueWords;
import app.matsuri.exchange.plan.Faults;
import app.matsuri.exchange.plan.In;
import app.matsuri.exchange.plan.PlanWriter;
import app.matsuri.exchange.plan.RuleReader;
import app.matsuri.server.Today;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.colleague.Access;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.Stored;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Reads days and date rules as people type them, within a term. */
@RestController
@RequestMapping(path = "/api/terms/{termId}", produces = "application/json")
class WordsController {

    private final Access access;
    private final Today today;

    WordsController(Access access, Today today) {
        this.access = access;
        this.today = today;
    }

    /** A day that was understood. */
    record DayRead(LocalDate date) {}

    /** A date rule that was understood, and the same in words. */
    record RuleRead(Map<String, Object> rule, String said) {}

    /** A date rule in words. */
    record RuleSaid(String said) {}

    @GetMapping("/days")
    DayRead day(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam String text,
            @RequestParam(required = false) String section) {
        Stored stored = access.look(by, termId);
        Optional<LocalDate> found = text.strip().toLowerCase(Locale.ROOT).equals("next class")
                ? nextClass(stored, section)
                : words(stored).read(text);
        return new DayRead(found.orElseThrow(() -> new Problem(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "day-not-understood",
                "Not understood",
                "Not a day yet. Write 3 nov, +2 weeks, next monday or next class.")));
    }

    private Optional<LocalDate> nextClass(Stored stored, String section) {
        String key = section == null ? "" : section;
        return Schedule.of(stored.decisions()).sections().stream()
                .filter(s -> key.isEmpty() || s.key().equals(key))
                .findFirst()
                .flatMap(s -> {
                    Sessions sessions = s.sessions();
                    int next = sessions.firstAfter(now(stored).atTime(23, 59));
                    return next < sessions.size()
                            ? Optional.of(sessions.get(next).date())
                            : Optional.<LocalDate>empty();
                });
    }

    @GetMapping("/rules")
    RuleRead rule(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam String course,
            @RequestParam(required = false) String lesson,
            @RequestParam String text) {
        Stored stored = access.look(by, termId);
        String beside = lesson == null || lesson.isBlank() ? null : lesson;
        DateRule rule = new DueWords(words(stored))
                .read(text, beside)
                .orElseThrow(() -> new Problem(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        "rule-not-understood",
                        "Not understood",
                        beside == null
                                ? "Not a date yet. Write 3 nov, 17:00 or with CH2, next class."
                                : "Not a date yet. Write next class, 2 days after, 23:59, friday or 3 nov."));
        return new RuleRead(PlanWriter.rule(rule), DueWords.say(rule, beside));
    }

    @PostMapping(path = "/rules/said", consumes = "application/json")
    RuleSaid said(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            @RequestParam String course,
            @RequestBody @Schema(type = "object") JsonNode rule) {
        access.look(by, termId);
        Faults faults = new Faults();
        In in = In.of(rule, "", faults);
        DateRule read = in == null ? null : RuleReader.rule(in);
        if (read == null) {
            throw new Problem(
                    HttpStatus.BAD_REQUEST, "rule-at-fault", "No date rule", "This is no date rule.", faults.all());
        }
        return new RuleSaid(DueWords.say(read, null));
    }

    private LocalDate now(Stored stored) {
        return today.in(stored.decisions().term().zone());
    }

    private DayWords words(Stored stored) {
        Term term = stored.decisions().term();
        return new DayWords(now(stored), term.first(), term.last());
    }
}
