package app.matsuri.server.term;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.session.Sessions;
import app.matsuri.exchange.plan.Faults;
import app.matsuri.exchange.plan.In;
import app.matsuri.exchange.plan.PlanWriter;
import app.matsuri.exchange.plan.RuleReader;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.DueWords;
import app.matsuri.exchange.words.MomentWords;
import app.matsuri.exchange.words.PlanNames;
import app.matsuri.exchange.words.TimeWords;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.clock.Today;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.Stored;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
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

    /**
     * A day that was understood.
     *
     * @param at the same with its time; null where only a day is asked for
     * @param said the same in words
     */
    record DayRead(LocalDate date, @Nullable LocalDateTime at, String said) {}

    /** Where in its day a moment lies for which no time is said; {@link #NONE} where only a day is asked for. */
    enum Edge {
        NONE,
        START,
        END
    }

    /** A time of day that was understood. */
    record TimeRead(LocalTime time, String said) {}

    /** A date rule that was understood, and the same in words. */
    record RuleRead(Map<String, Object> rule, String said) {}

    /** A date rule in words. */
    record RuleInWords(String said) {}

    @GetMapping("/days")
    DayRead day(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            Locale locale,
            @RequestParam String text,
            @RequestParam(required = false) String section,
            @RequestParam(required = false, defaultValue = "none") String time) {
        Stored stored = access.look(by, termId);
        Edge edge = edge(time);
        DayWords words = words(stored, locale);
        Optional<LocalDateTime> next = nextClass(stored, section);
        MomentWords found = MomentWords.read(
                        text, t -> isNextClass(t) ? next.map(LocalDateTime::toLocalDate) : words.read(t))
                .orElseThrow(() -> notUnderstood(words.why(text)
                        .orElse(
                                edge == Edge.NONE
                                        ? "Not a day yet. Write 3 nov, +2 weeks, next monday or next class."
                                        : "Not a date yet. Write 3 nov, 17:00 or fri 5pm, +2 weeks, next class.")));
        if (edge == Edge.NONE) {
            if (found.time() != null) {
                throw notUnderstood("Only a day is asked for here, without a time: " + Say.day(found.day()) + ".");
            }
            return new DayRead(
                    found.day(), null, Say.day(found.day()) + " " + found.day().getYear());
        }
        boolean classStart = edge == Edge.START && isNextClass(text);
        LocalDateTime at = classStart
                ? next.orElseThrow()
                : found.at(edge == Edge.START ? LocalTime.MIDNIGHT : LocalTime.of(23, 59));
        return new DayRead(at.toLocalDate(), at, Say.moment(at).replaceFirst(", ", " " + at.getYear() + ", "));
    }

    @GetMapping("/times")
    TimeRead time(@AuthenticationPrincipal SignedIn by, @PathVariable long termId, @RequestParam String text) {
        access.look(by, termId);
        LocalTime time = TimeWords.field(text)
                .orElseThrow(() -> notUnderstood("Not a time of day yet. Write 17:00, 5 pm or noon."));
        return new TimeRead(time, Say.time(time));
    }

    private static Edge edge(String time) {
        try {
            return Edge.valueOf(time.toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException e) {
            throw new Problem(HttpStatus.BAD_REQUEST, "no-such-edge", "No such time", "“time” is none, start or end.");
        }
    }

    private static boolean isNextClass(String text) {
        return text.strip().toLowerCase(Locale.ROOT).matches("(the )?next (class|session)");
    }

    private static Problem notUnderstood(String why) {
        return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "day-not-understood", "Not understood", why);
    }

    private Optional<LocalDateTime> nextClass(Stored stored, String section) {
        String key = section == null ? "" : section;
        return Schedule.of(stored.decisions()).sections().stream()
                .filter(s -> key.isEmpty() || s.key().equals(key))
                .findFirst()
                .flatMap(s -> {
                    Sessions sessions = s.sessions();
                    int next = sessions.firstAfter(now(stored).atTime(23, 59));
                    return next < sessions.size()
                            ? Optional.of(sessions.get(next).start())
                            : Optional.<LocalDateTime>empty();
                });
    }

    @GetMapping("/rules")
    RuleRead rule(
            @AuthenticationPrincipal SignedIn by,
            @PathVariable long termId,
            Locale locale,
            @RequestParam String course,
            @RequestParam(required = false) String lesson,
            @RequestParam(required = false, defaultValue = "due") String which,
            @RequestParam String text) {
        Stored stored = access.look(by, termId);
        String beside = lesson == null || lesson.isBlank() ? null : lesson;
        DayWords words = words(stored, locale);
        PlanNames names = stored.decisions().course(course).map(PlanNames::of).orElse(PlanNames.NONE);
        Which of = which.equals("opens") ? Which.OPENS : which.equals("closes") ? Which.CLOSES : Which.DUE;
        DateRule rule = new DueWords(words, names)
                .read(text, beside, of)
                .or(() -> MomentWords.read(text, words)
                        .map(m -> DateRule.at(m.at(of == Which.OPENS ? LocalTime.MIDNIGHT : LocalTime.of(23, 59)))))
                .orElseThrow(() -> new Problem(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        "rule-not-understood",
                        "Not understood",
                        words.why(text)
                                .orElse(
                                        beside == null
                                                ? "Not a date yet. Write 3 nov, 17:00 or with CH2, next class."
                                                : "Not a date yet. Write next class, 2 days after, 23:59, friday or 3"
                                                        + " nov.")));
        return new RuleRead(Known.there(PlanWriter.rule(rule), rule), RuleSaid.beside(rule, beside));
    }

    @PostMapping(path = "/rules/said", consumes = "application/json")
    RuleInWords said(
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
        return new RuleInWords(RuleSaid.beside(read, null));
    }

    private LocalDate now(Stored stored) {
        return today.in(stored.decisions().term().zone());
    }

    private DayWords words(Stored stored, Locale locale) {
        return today.words(stored.decisions().term(), locale);
    }
}
