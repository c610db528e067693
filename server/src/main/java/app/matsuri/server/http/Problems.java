package app.matsuri.server.http;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.TimeLimit;
import app.matsuri.core.change.NoSuch;
import app.matsuri.core.change.Refused;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.plan.Fault;
import app.matsuri.exchange.plan.In;
import app.matsuri.exchange.plan.WrongWord;
import app.matsuri.server.disk.NoRoom;
import app.matsuri.server.storage.StaleVersion;
import jakarta.persistence.PersistenceException;
import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.apache.catalina.connector.ClientAbortException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.exc.MismatchedInputException;

/** Answers what went wrong as problems of RFC 9457: a stable type, a sentence to act on, the places at fault. */
@RestControllerAdvice
class Problems {

    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    /** SQLSTATEs of keys that are there already, of transactions that were rolled back, and of locks that were waited for too long. */
    private static final List<String> AT_ONCE = List.of("23", "40", "HYT00", "55P03");

    private final Stuck stuck;

    Problems(Stuck stuck) {
        this.stuck = stuck;
    }

    /** One place at fault. */
    record Place(String pointer, int line, String severity, String message) {}

    @ExceptionHandler
    ResponseEntity<ProblemDetail> problem(Problem problem) {
        return answer(problem.status(), problem.type(), problem.title(), problem.getMessage(), problem.faults());
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(Refused refused) {
        return answer(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "change-refused",
                "This change cannot be made",
                refused.getMessage(),
                List.of());
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> unreadable(Unreadable file) {
        return answer(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "file-not-readable",
                "This file cannot be read",
                file.getMessage(),
                List.of());
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> tooLong(TimeLimit.TooLong e, HttpServletRequest request) {
        LOG.warn("given up: {} {}", request.getMethod(), request.getRequestURI());
        return answer(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "takes-too-long",
                "That takes too long",
                "It was given up after a while, and nothing was stored. Give less at once.",
                List.of());
    }

    /** Two at once wrote the same, or one waited too long for the other; or a value does not fit its column. */
    @ExceptionHandler({DataAccessException.class, PersistenceException.class, TransactionException.class})
    @Nullable
    ResponseEntity<ProblemDetail> storing(RuntimeException e, HttpServletRequest request) throws Exception {
        String state = state(e);
        if (state.equals("22021")) {
            return answer(HttpStatus.UNPROCESSABLE_CONTENT, "no-character", "This cannot be kept", In.NUL, List.of());
        }
        if (state.startsWith("22")) {
            LOG.warn("not stored, as a value does not fit its column: {}", request.getRequestURI());
            return answer(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "too-long",
                    "This is too long",
                    "A text or a list is longer than can be stored. Shorten it. Nothing was stored.",
                    List.of());
        }
        if (e instanceof ConcurrencyFailureException || AT_ONCE.stream().anyMatch(state::startsWith)) {
            LOG.info("two at once: {} {}", request.getMethod(), request.getRequestURI());
            return answer(
                    HttpStatus.CONFLICT,
                    "changed-elsewhere",
                    "Changed elsewhere",
                    "Somebody else did the same at the same moment. Nothing was stored. Look again and try again.",
                    List.of());
        }
        return unexpected(e, request);
    }

    /** The SQLSTATE at the bottom of it; empty for none. */
    private static String state(Throwable e) {
        for (Throwable at = e; at != null; at = at.getCause()) {
            if (at instanceof SQLException sql && sql.getSQLState() != null) {
                return sql.getSQLState();
            }
        }
        return "";
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> full(NoRoom full) {
        return answer(HttpStatus.INSUFFICIENT_STORAGE, "disk-full", "The disk is full", full.getMessage(), List.of());
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> none(NoSuch none) {
        return answer(
                HttpStatus.NOT_FOUND, "no-such-" + none.what(), "No such " + none.what(), none.getMessage(), List.of());
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> stale(StaleVersion stale) {
        ResponseEntity<ProblemDetail> answer = answer(
                HttpStatus.CONFLICT,
                "version-conflict",
                "Changed elsewhere",
                stale.getMessage() + " Nothing was stored. Look at what the change does now and apply it again.",
                List.of());
        ProblemDetail problem = Known.there(answer.getBody(), "a problem");
        problem.setProperty("version", stale.version());
        if (stale.proposal() != null) {
            problem.setProperty("proposal", stale.proposal());
        }
        return answer;
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> invalid(MethodArgumentNotValidException invalid) {
        List<Fault> faults = invalid.getFieldErrors().stream()
                .map(e -> new Fault(
                        Fault.Severity.FATAL,
                        "/" + e.getField(),
                        0,
                        Objects.requireNonNullElse(e.getDefaultMessage(), "is not right")))
                .toList();
        String detail = String.join(" ", faults.stream().map(Fault::message).toList());
        return answer(HttpStatus.BAD_REQUEST, "fields-at-fault", "Something is missing", detail, faults);
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> unreadable(HttpMessageNotReadableException e) {
        if (!(e.getCause() instanceof DatabindException wrong)
                || wrong.getPath().isEmpty()) {
            return answer(
                    HttpStatus.BAD_REQUEST,
                    "not-readable",
                    "The request could not be read",
                    "What was sent is not in the form that is expected here. Reload the page and try again.",
                    List.of());
        }
        StringBuilder pointer = new StringBuilder();
        wrong.getPath()
                .forEach(step -> pointer.append('/')
                        .append(step.getPropertyName() == null ? step.getIndex() : step.getPropertyName()));
        String field = pointer.substring(pointer.lastIndexOf("/") + 1);
        String what = wrong instanceof MismatchedInputException mismatch ? wanted(mismatch.getTargetType()) : "";
        String message = "“" + field + "” is not " + orElse(what, "of the kind that is expected") + ".";
        return answer(
                HttpStatus.BAD_REQUEST,
                "fields-at-fault",
                "Something is wrong",
                message,
                List.of(new Fault(Fault.Severity.FATAL, pointer.toString(), 0, message)));
    }

    /** What a field takes, in words. */
    private static String wanted(@Nullable Class<?> type) {
        if (type == null) {
            return "";
        }
        if (type.isEnum()) {
            return "one of "
                    + String.join(
                            ", ",
                            Arrays.stream(type.getEnumConstants())
                                    .map(Object::toString)
                                    .toList());
        }
        return Map.of(
                        LocalDate.class, "a date such as 2026-10-05",
                        LocalDateTime.class, "a local date and time such as 2026-10-05T17:00",
                        LocalTime.class, "a time of day such as 17:00",
                        String.class, "a text",
                        boolean.class, "true or false",
                        Boolean.class, "true or false",
                        byte[].class, "a file in base 64")
                .getOrDefault(
                        type,
                        Number.class.isAssignableFrom(type) || type.isPrimitive()
                                ? "a number"
                                : Collection.class.isAssignableFrom(type) ? "a list [ … ]" : "");
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> mismatch(MethodArgumentTypeMismatchException e) {
        String message = "“" + e.getName() + "” is not "
                + orElse(wanted(e.getRequiredType()), "of the kind that is expected") + ".";
        return answer(
                HttpStatus.BAD_REQUEST,
                "fields-at-fault",
                "Something is wrong",
                message,
                List.of(new Fault(Fault.Severity.FATAL, "/" + e.getName(), 0, message)));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> wrongWord(WrongWord wrong) {
        return answer(HttpStatus.BAD_REQUEST, "fields-at-fault", "Something is wrong", wrong.getMessage(), List.of());
    }

    private static String orElse(String words, String otherwise) {
        return words.isEmpty() ? otherwise : words;
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> nothing(NoResourceFoundException e) {
        return answer(
                HttpStatus.NOT_FOUND, "nothing-here", "Nothing here", "There is nothing at this address.", List.of());
    }

    /** What nothing above knows; null where who asked is gone, so that there is nobody to answer and nothing at fault here. */
    @ExceptionHandler
    @Nullable
    ResponseEntity<ProblemDetail> unexpected(Exception e, HttpServletRequest request) throws Exception {
        if (gone(e)) {
            LOG.debug("gone before the answer: {} {}", request.getMethod(), request.getRequestURI());
            return null;
        }
        if (e instanceof org.springframework.web.ErrorResponse known) {
            HttpStatus status = HttpStatus.valueOf(known.getStatusCode().value());
            return answer(status, "request-refused", status.getReasonPhrase(), e.getMessage(), List.of());
        }
        LOG.error("unexpected", e);
        Optional<Fault> why = stuck.why(request);
        if (why.isPresent()) {
            return answer(
                    HttpStatus.INTERNAL_SERVER_ERROR,
                    "term-stuck",
                    "This term cannot be shown",
                    why.get().message() + " Nothing is lost: undo the last step, or take the plan file out.",
                    List.of(why.get()));
        }
        return answer(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "unexpected",
                "Something went wrong here",
                "This should not have happened; it is in the server's log. Nothing was stored by halves. Try again.",
                List.of());
    }

    /** Whether the connection to who asked broke; one to a database is another matter. */
    private static boolean gone(Throwable e) {
        for (Throwable at = e; at != null; at = at.getCause()) {
            if (at instanceof AsyncRequestNotUsableException || at instanceof ClientAbortException) {
                return true;
            }
        }
        return false;
    }

    private static ResponseEntity<ProblemDetail> answer(
            HttpStatus status, String type, String title, @Nullable String detail, List<Fault> faults) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setType(URI.create("/problems/" + type));
        problem.setTitle(title);
        if (!faults.isEmpty()) {
            problem.setProperty(
                    "faults",
                    faults.stream()
                            .map(f -> new Place(
                                    f.pointer(), f.line(), f.severity().name().toLowerCase(), f.message()))
                            .toList());
        }
        return ResponseEntity.status(status)
                .contentType(org.springframework.http.MediaType.APPLICATION_PROBLEM_JSON)
                .body(problem);
    }
}
