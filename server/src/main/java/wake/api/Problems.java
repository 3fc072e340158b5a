package wake.api;

import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import wake.media.NotAVideo;
import wake.review.Unknown;

/** Problem documents (RFC 9457) for what goes wrong; each says what, where, and what was expected. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class Problems {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    @ExceptionHandler
    ProblemDetail refused(Refused refused) {
        ProblemDetail problem = problem(HttpStatus.UNPROCESSABLE_CONTENT, String.valueOf(refused.getMessage()));
        problem.setProperty("field", refused.field());
        return problem;
    }

    @ExceptionHandler
    ProblemDetail unknown(Unknown unknown) {
        return problem(HttpStatus.NOT_FOUND, String.valueOf(unknown.getMessage()));
    }

    @ExceptionHandler
    ProblemDetail notAVideo(NotAVideo notAVideo) {
        ProblemDetail problem = problem(HttpStatus.UNPROCESSABLE_CONTENT, String.valueOf(notAVideo.getMessage()));
        problem.setProperty("field", "file");
        return problem;
    }

    @ExceptionHandler
    ProblemDetail notValid(MethodArgumentNotValidException invalid) {
        var error = invalid.getFieldErrors().stream().findFirst();
        ProblemDetail problem = problem(
                HttpStatus.UNPROCESSABLE_CONTENT,
                error.map(field -> field.getField() + " " + field.getDefaultMessage())
                        .orElse("The request does not fit."));
        error.ifPresent(field -> problem.setProperty("field", field.getField()));
        return problem;
    }

    @ExceptionHandler
    ProblemDetail notReadable(HttpMessageNotReadableException unreadable) {
        Throwable cause = unreadable.getMostSpecificCause();
        String message = String.valueOf(cause.getMessage()).lines().findFirst().orElse("");
        return problem(HttpStatus.BAD_REQUEST, "The request could not be read: " + message);
    }

    @ExceptionHandler
    ProblemDetail wrongType(MethodArgumentTypeMismatchException mismatch) {
        return problem(
                HttpStatus.BAD_REQUEST,
                "\"" + mismatch.getValue() + "\" is no " + mismatch.getName() + "; expected a "
                        + (mismatch.getRequiredType() == null
                                ? "different value"
                                : mismatch.getRequiredType().getSimpleName())
                        + ".");
    }

    @ExceptionHandler
    ProblemDetail brokenOff(IOException broken) {
        LOG.warn("A transfer broke off: {}", broken.getMessage());
        return problem(
                HttpStatus.BAD_REQUEST,
                "The transfer broke off (" + broken.getMessage() + "). Nothing of it was kept.");
    }

    private static ProblemDetail problem(HttpStatus status, String detail) {
        return ProblemDetail.forStatusAndDetail(status, detail);
    }
}
