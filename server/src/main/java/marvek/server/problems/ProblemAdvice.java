package marvek.server.problems;

import java.net.URI;
import java.util.stream.Collectors;
import marvek.core.InvalidValueException;
import marvek.core.PlainText;
import marvek.formats.BadFileException;
import marvek.server.editions.StaleException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.MissingRequestHeaderException;
import org.springframework.web.bind.ServletRequestBindingException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** Turns errors of the job into problem details, keeping the place where they arose. */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {
  private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

  @ExceptionHandler
  ProblemDetail badFile(BadFileException e) {
    ProblemDetail problem =
        problem(
            HttpStatus.UNPROCESSABLE_ENTITY,
            "bad-file",
            "The file cannot be taken in",
            e.getMessage() + " Nothing was stored.");
    e.line().ifPresent(line -> problem.setProperty("line", line));
    if (e.column() != null) {
      problem.setProperty("column", shortened(e.column()));
    }
    if (e.pointer() != null) {
      problem.setProperty("pointer", shortened(e.pointer()));
    }
    return problem;
  }

  @ExceptionHandler
  ProblemDetail forbidden(ForbiddenException e) {
    return problem(HttpStatus.FORBIDDEN, "not-allowed", "Not allowed", e.getMessage());
  }

  @ExceptionHandler
  ProblemDetail invalidValue(InvalidValueException e) {
    ProblemDetail problem =
        problem(
            HttpStatus.UNPROCESSABLE_ENTITY,
            "invalid-value",
            "A value cannot be used",
            e.getMessage() + ".");
    problem.setProperty("field", shortened(e.field()));
    if (e.index() >= 0) {
      problem.setProperty("index", e.index());
    }
    if (e.said() != null) {
      problem.setProperty("said", e.said());
    }
    return problem;
  }

  @ExceptionHandler
  ProblemDetail notFound(NotFoundException e) {
    return problem(HttpStatus.NOT_FOUND, "not-found", "Not found", e.getMessage());
  }

  @ExceptionHandler
  ProblemDetail wrongType(MethodArgumentTypeMismatchException e) {
    for (Throwable cause = e.getCause(); cause != null; cause = cause.getCause()) {
      if (cause instanceof InvalidValueException invalid) {
        return invalidValue(invalid);
      }
    }
    return problem(
        HttpStatus.NOT_FOUND,
        "not-found",
        "Not found",
        "\"" + e.getValue() + "\" is not a " + e.getName() + " of this server.");
  }

  /** Cut off, with a name that no file can have, or no form at all. */
  @ExceptionHandler
  ProblemDetail badForm(MultipartException e) {
    LOG.info("A form could not be read: {}", e.getMessage());
    return problem(
        HttpStatus.BAD_REQUEST,
        "bad-form",
        "The file did not come whole",
        "The form with the file cannot be read. Send it again, under a plain file name. Nothing was"
            + " stored.");
  }

  @ExceptionHandler
  ProblemDetail conflict(ConflictException e) {
    return problem(HttpStatus.CONFLICT, "conflict", "Changed meanwhile", e.getMessage());
  }

  /** The second of two equal things at once, which the database saw where no look-up could. */
  @ExceptionHandler
  ProblemDetail twice(DataIntegrityViolationException e, WebRequest request) {
    LOG.info("Refused by the database: {}", e.getMostSpecificCause().getMessage());
    return problem(
        lost(request),
        "conflict",
        "Changed meanwhile",
        "The same was stored, or what it belongs to was removed, at this very moment. Load it again.");
  }

  /** What was to be changed has been changed or removed since it was read in this request. */
  @ExceptionHandler
  ProblemDetail overtaken(OptimisticLockingFailureException e, WebRequest request) {
    return problem(
        lost(request),
        "conflict",
        "Changed meanwhile",
        "Somebody else changed or removed this at the same moment. Nothing was stored: load it again.");
  }

  /** Of two at the very same moment the second is stale too. */
  private static HttpStatus lost(WebRequest request) {
    return request.getHeader(HttpHeaders.IF_MATCH) == null
        ? HttpStatus.CONFLICT
        : HttpStatus.PRECONDITION_FAILED;
  }

  private static boolean isOutOfMemory(Throwable failure) {
    return failure instanceof OutOfMemoryError
        || (failure.getCause() != null && isOutOfMemory(failure.getCause()));
  }

  private static ResponseEntity<ProblemDetail> busy(String what, Exception e) {
    LOG.warn("{}", what, e);
    return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
        .header(HttpHeaders.RETRY_AFTER, "3")
        .body(
            problem(
                HttpStatus.SERVICE_UNAVAILABLE,
                "busy",
                what,
                "Nothing was stored. What you typed is still here: try again in a moment."));
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> full(FullException e) {
    return busy(e.getMessage(), e);
  }

  /** Theirs goes along, to be shown beside what was to be stored. */
  @ExceptionHandler
  ProblemDetail stale(StaleException e) {
    ProblemDetail problem =
        problem(HttpStatus.PRECONDITION_FAILED, "stale", "Changed meanwhile", e.getMessage());
    problem.setProperty("theirs", e.theirs());
    return problem;
  }

  @Override
  protected ResponseEntity<Object> handleServletRequestBindingException(
      ServletRequestBindingException e, HttpHeaders headers, HttpStatusCode code, WebRequest r) {
    if (e instanceof MissingRequestHeaderException missing
        && missing.getHeaderName().equals(HttpHeaders.IF_MATCH)) {
      ProblemDetail problem =
          problem(
              HttpStatus.PRECONDITION_REQUIRED,
              "edition-missing",
              "Say which state this was made from",
              "Send the ETag of the answer that you changed as If-Match, so that nobody's change is"
                  + " lost; * takes any.");
      return new ResponseEntity<>(problem, headers, HttpStatus.PRECONDITION_REQUIRED);
    }
    return super.handleServletRequestBindingException(e, headers, code, r);
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> unexpected(Exception e) {
    if (DatabaseAway.isCauseOf(e)) {
      return busy("The database does not answer", e);
    }
    if (isOutOfMemory(e)) {
      return busy("That is more than the memory holds at once", e);
    }
    LOG.error("Request failed", e);
    return ResponseEntity.internalServerError()
        .body(
            problem(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "internal",
                "Marvek failed",
                "Something went wrong inside Marvek; nothing was stored. The server's log has the"
                    + " details."));
  }

  @Override
  protected ResponseEntity<Object> handleMaxUploadSizeExceededException(
      MaxUploadSizeExceededException e, HttpHeaders headers, HttpStatusCode code, WebRequest r) {
    ProblemDetail problem =
        problem(
            HttpStatus.PAYLOAD_TOO_LARGE,
            "too-large",
            "The file is too large",
            "Files up to 200 MB are taken. Nothing was stored.");
    return new ResponseEntity<>(problem, headers, HttpStatus.PAYLOAD_TOO_LARGE);
  }

  @Override
  protected ResponseEntity<Object> handleMissingServletRequestPart(
      MissingServletRequestPartException e,
      HttpHeaders headers,
      HttpStatusCode code,
      WebRequest r) {
    ProblemDetail problem =
        problem(
            HttpStatus.BAD_REQUEST,
            "missing-file",
            "No file was sent",
            "Send the file as the part \"" + e.getRequestPartName() + "\" of a multipart form.");
    return new ResponseEntity<>(problem, headers, HttpStatus.BAD_REQUEST);
  }

  @Override
  protected ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode code, WebRequest r) {
    ProblemDetail problem =
        problem(
            HttpStatus.BAD_REQUEST,
            "bad-body",
            "The request cannot be read",
            "The body is not the JSON that is described at /api/openapi.json" + where(e) + ".");
    return new ResponseEntity<>(problem, headers, HttpStatus.BAD_REQUEST);
  }

  /** The place in the body, in its own words; never the reader's, which speak of classes. */
  private static String where(HttpMessageNotReadableException e) {
    if (e.getCause() instanceof DatabindException unmapped && !unmapped.getPath().isEmpty()) {
      String pointer =
          unmapped.getPath().stream()
              .map(
                  step ->
                      step.getPropertyName() == null
                          ? "/" + step.getIndex()
                          : "/" + step.getPropertyName())
              .collect(Collectors.joining());
      return unmapped instanceof UnrecognizedPropertyException unknown
          ? ": " + pointer + " is not known; known are " + known(unknown)
          : ": look at " + pointer;
    }
    return "";
  }

  private static String known(UnrecognizedPropertyException e) {
    return e.getKnownPropertyIds().stream()
        .map(String::valueOf)
        .sorted()
        .collect(Collectors.joining(", "));
  }

  /** Long enough for every sentence of ours; what was sent may be quoted in it. */
  private static final int LONGEST_DETAIL = 600;

  static String shortened(String text) {
    return text == null || text.length() <= LONGEST_DETAIL
        ? text
        : text.substring(0, LONGEST_DETAIL) + " …";
  }

  private static ProblemDetail problem(
      HttpStatus status, String type, String title, String detail) {
    ProblemDetail problem =
        ProblemDetail.forStatusAndDetail(status, shortened(PlainText.of(detail)));
    problem.setType(URI.create("urn:marvek:problem:" + type));
    problem.setTitle(title);
    return problem;
  }
}
