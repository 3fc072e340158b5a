package wake.api;

import java.io.IOException;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.method.annotation.HandlerMethodValidationException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.exc.InvalidFormatException;
import wake.media.NotAVideo;
import wake.review.NotFound;
import wake.review.Unreadable;
import wake.store.DatabaseHealth;
import wake.store.DatabaseHealth.Trouble;
import wake.store.backups.NotABackup;
import wake.units.InvalidInput;
import wake.units.Messages;

/** Problem documents (RFC 9457) for what goes wrong; each says what, where, and what was expected, in words for the coach. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class Problems {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    private final DatabaseHealth health;

    Problems(DatabaseHealth health) {
        this.health = health;
    }

    @ExceptionHandler
    ProblemDetail refused(InvalidRequest refused) {
        return concerning(refused.field(), String.valueOf(refused.getMessage()));
    }

    @ExceptionHandler
    ProblemDetail conflict(Conflict conflict) {
        ProblemDetail problem = problem(HttpStatus.CONFLICT, String.valueOf(conflict.getMessage()));
        problem.setProperty("field", conflict.field());
        return problem;
    }

    @ExceptionHandler
    ProblemDetail unknown(NotFound unknown) {
        return problem(HttpStatus.NOT_FOUND, String.valueOf(unknown.getMessage()));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> unreadable(Unreadable unreadable) {
        return unreadable.isDefect()
                ? defect(unreadable)
                : ResponseEntity.unprocessableContent()
                        .body(concerning("attempt", String.valueOf(unreadable.getMessage())));
    }

    @ExceptionHandler
    ProblemDetail notAVideo(NotAVideo notAVideo) {
        return concerning("file", String.valueOf(notAVideo.getMessage()));
    }

    @ExceptionHandler
    ProblemDetail notABackup(NotABackup notABackup) {
        return concerning("file", String.valueOf(notABackup.getMessage()));
    }

    @ExceptionHandler
    ProblemDetail notValid(MethodArgumentNotValidException invalid) {
        var error = invalid.getFieldErrors().stream().findFirst();
        return concerning(
                error.map(field -> field.getField()).orElse(""),
                error.map(field -> field.getField() + " " + field.getDefaultMessage())
                        .orElse("Something in this request is missing or wrong."));
    }

    @ExceptionHandler
    ProblemDetail notValid(HandlerMethodValidationException invalid) {
        var results = invalid.getParameterValidationResults();
        String field = results.isEmpty()
                ? ""
                : String.valueOf(results.getFirst().getMethodParameter().getParameterName());
        String why = results.isEmpty()
                ? "is missing or wrong"
                : String.valueOf(
                        results.getFirst().getResolvableErrors().getFirst().getDefaultMessage());
        return concerning(field, field + " " + why);
    }

    /** Says where the document stops making sense, and not in which class. */
    @ExceptionHandler
    ProblemDetail notReadable(HttpMessageNotReadableException unreadable) {
        for (Throwable cause = unreadable; cause != null; cause = cause.getCause()) {
            if (cause instanceof TooLarge tooLarge) {
                return problem(HttpStatus.CONTENT_TOO_LARGE, String.valueOf(tooLarge.getMessage()));
            }
        }
        for (Throwable cause = unreadable; cause != null; cause = cause.getCause()) {
            if (cause instanceof DatabindException unfit) {
                String where = path(unfit);
                String what = unfit instanceof InvalidFormatException format && format.getValue() != null
                        ? "\"" + shortened(format.getValue()) + "\" is not a valid value"
                        : "this is not a valid value";
                ProblemDetail problem = problem(
                        HttpStatus.BAD_REQUEST,
                        "The request could not be read" + (where.isEmpty() ? "" : " at " + where) + ": " + what + ".");
                problem.setProperty("field", where);
                return problem;
            }
            if (cause instanceof JacksonException broken) {
                var at = broken.getLocation();
                return problem(
                        HttpStatus.BAD_REQUEST,
                        "Invalid JSON"
                                + (at == null || at.getLineNr() < 1
                                        ? ""
                                        : " at line " + at.getLineNr() + ", column " + at.getColumnNr())
                                + ".");
            }
        }
        return problem(HttpStatus.BAD_REQUEST, "The request has no body, or one that ends too early.");
    }

    private static String path(DatabindException unfit) {
        return unfit.getPath().stream()
                .map(step ->
                        step.getPropertyName() == null ? Integer.toString(step.getIndex()) : step.getPropertyName())
                .collect(Collectors.joining("/"));
    }

    @ExceptionHandler
    ProblemDetail wrongType(MethodArgumentTypeMismatchException mismatch) {
        ProblemDetail problem = problem(
                HttpStatus.BAD_REQUEST,
                "\"" + shortened(mismatch.getValue()) + "\" is not valid for " + mismatch.getName() + ". Use "
                        + expected(mismatch.getRequiredType()) + ".");
        problem.setProperty("field", mismatch.getName());
        return problem;
    }

    private static String expected(@Nullable Class<?> type) {
        if (type == UUID.class) {
            return "an id";
        }
        if (type == java.time.LocalDate.class) {
            return "a date like 2026-11-26";
        }
        if (type != null && type.isEnum()) {
            return java.util.Arrays.stream(type.getEnumConstants())
                    .map(Object::toString)
                    .collect(Collectors.joining(", "));
        }
        return type == boolean.class || type == Boolean.class ? "true or false" : "a number";
    }

    private static String shortened(@Nullable Object value) {
        String text = String.valueOf(value);
        return text.length() <= 60 ? text : text.substring(0, 60) + "…";
    }

    /** What was given cannot be used, said in the core's words. */
    @ExceptionHandler
    ProblemDetail invalid(InvalidInput invalid) {
        LOG.debug("Refused by the core", invalid);
        return concerning("", Messages.sentence(String.valueOf(invalid.getMessage())));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> doesNotFit(DataIntegrityViolationException unfit) {
        LOG.debug("Refused by the database", unfit);
        return failed(unfit, HttpStatus.CONFLICT, "Couldn't save: too long, or it refers to something deleted.");
    }

    /** Whoever asked has gone: a video that was sought elsewhere, a page that was left. Nobody is there to be answered. */
    @ExceptionHandler
    void gone(AsyncRequestNotUsableException gone) {
        LOG.debug("Left before the answer", gone);
    }

    @ExceptionHandler
    @Nullable
    ResponseEntity<ProblemDetail> brokenOff(IOException broken) {
        if (DatabaseHealth.saysFull(broken)) {
            return answer(HttpStatus.INSUFFICIENT_STORAGE, Trouble.DISK_FULL.words());
        }
        if (isGone(broken)) {
            LOG.debug("Left before the answer", broken);
            return null;
        }
        LOG.warn("A transfer broke off: {}", broken.getMessage());
        return failed(broken, HttpStatus.BAD_REQUEST, "The upload stopped. What had arrived is saved.");
    }

    private static boolean isGone(IOException broken) {
        String said = String.valueOf(broken.getMessage());
        return broken.getClass().getSimpleName().equals("ClientAbortException")
                || said.contains("Broken pipe")
                || said.contains("Connection reset");
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> anythingElse(Exception failure) throws Exception {
        if (failure instanceof ErrorResponse known && known.getStatusCode().is4xxClientError()) {
            throw failure;
        }
        if (DatabaseHealth.isBusy(failure)) {
            return busy();
        }
        return defect(failure);
    }

    /** Wake's own fault: said so, with an id under which the log has the trace. */
    private ResponseEntity<ProblemDetail> defect(Exception failure) {
        UUID reference = UUID.randomUUID();
        ResponseEntity<ProblemDetail> answer = failed(
                failure,
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something went wrong in Wake, not in what you entered. Your saved data is safe. (Error " + reference
                        + ")");
        if (answer.getStatusCode().value() == HttpStatus.INTERNAL_SERVER_ERROR.value()) {
            LOG.error("{}", reference, failure);
        }
        return answer;
    }

    /** Others hold what was wanted; asked again, it may go right at once. */
    private static ResponseEntity<ProblemDetail> busy() {
        return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
                .header(HttpHeaders.RETRY_AFTER, "1")
                .body(problem(
                        HttpStatus.SERVICE_UNAVAILABLE, "Wake was busy saving. Nothing of this was saved. Try again."));
    }

    /** A failure that may have been the database's: then it is said, and that it mends itself. */
    private ResponseEntity<ProblemDetail> failed(Exception failure, HttpStatus status, String words) {
        return health.failed(failure)
                .map(trouble -> answer(status(trouble), trouble.words()))
                .orElseGet(() -> answer(status, words));
    }

    static HttpStatus status(Trouble trouble) {
        return trouble == Trouble.DISK_FULL ? HttpStatus.INSUFFICIENT_STORAGE : HttpStatus.SERVICE_UNAVAILABLE;
    }

    private static ResponseEntity<ProblemDetail> answer(HttpStatus status, String words) {
        return ResponseEntity.status(status).body(problem(status, words));
    }

    private static ProblemDetail concerning(String field, String words) {
        ProblemDetail problem = problem(HttpStatus.UNPROCESSABLE_CONTENT, words);
        problem.setProperty("field", field);
        return problem;
    }

    private static ProblemDetail problem(HttpStatus status, String detail) {
        return ProblemDetail.forStatusAndDetail(status, detail);
    }
}
