package marvek.server.problems;

import java.util.stream.Collectors;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;
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
    return Problems.of(e);
  }

  @ExceptionHandler
  ProblemDetail forbidden(ForbiddenException e) {
    return Problems.of(HttpStatus.FORBIDDEN, ProblemType.NOT_ALLOWED, e.said());
  }

  @ExceptionHandler
  ProblemDetail invalidValue(InvalidValueException e) {
    return Problems.of(e);
  }

  @ExceptionHandler
  ProblemDetail notFound(NotFoundException e) {
    return Problems.of(HttpStatus.NOT_FOUND, ProblemType.NOT_FOUND, e.said());
  }

  @ExceptionHandler
  ProblemDetail wrongType(MethodArgumentTypeMismatchException e) {
    for (Throwable cause = e.getCause(); cause != null; cause = cause.getCause()) {
      if (cause instanceof InvalidValueException invalid) {
        return invalidValue(invalid);
      }
    }
    return Problems.of(
        HttpStatus.NOT_FOUND,
        ProblemType.NOT_FOUND,
        Sentence.of("missing.no-such", "given", String.valueOf(e.getValue()), "what", e.getName()));
  }

  /** Cut off, with a name that no file can have, or no form at all. */
  @ExceptionHandler
  ProblemDetail badForm(MultipartException e) {
    LOG.info("A form could not be read: {}", e.getMessage());
    return Problems.of(HttpStatus.BAD_REQUEST, ProblemType.BAD_FORM, Sentence.of("problem.form"));
  }

  @ExceptionHandler
  ProblemDetail conflict(ConflictException e) {
    return Problems.of(HttpStatus.CONFLICT, ProblemType.CONFLICT, e.said());
  }

  /** The second of two equal things at once, which the database saw where no look-up could. */
  @ExceptionHandler
  ProblemDetail twice(DataIntegrityViolationException e, WebRequest request) {
    LOG.info("Refused by the database: {}", e.getMostSpecificCause().getMessage());
    return Problems.of(lost(request), ProblemType.CONFLICT, Sentence.of("problem.stored-twice"));
  }

  /** What was to be changed has been changed or removed since it was read in this request. */
  @ExceptionHandler
  ProblemDetail overtaken(OptimisticLockingFailureException e, WebRequest request) {
    return Problems.of(lost(request), ProblemType.CONFLICT, Sentence.of("problem.overtaken"));
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

  private static ResponseEntity<ProblemDetail> busy(ProblemType type, Exception e) {
    LOG.warn("{}", type, e);
    return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
        .header(HttpHeaders.RETRY_AFTER, "3")
        .body(Problems.of(HttpStatus.SERVICE_UNAVAILABLE, type, Sentence.of("problem.try-again")));
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> full(FullException e) {
    return busy(ProblemType.BUSY, e);
  }

  /** Theirs goes along, to be shown beside what was to be stored. */
  @ExceptionHandler
  ProblemDetail stale(StaleException e) {
    ProblemDetail problem =
        Problems.of(HttpStatus.PRECONDITION_FAILED, ProblemType.STALE, e.said());
    problem.setProperty("theirs", e.theirs());
    return problem;
  }

  @Override
  protected ResponseEntity<Object> handleServletRequestBindingException(
      ServletRequestBindingException e, HttpHeaders headers, HttpStatusCode code, WebRequest r) {
    if (e instanceof MissingRequestHeaderException missing
        && missing.getHeaderName().equals(HttpHeaders.IF_MATCH)) {
      ProblemDetail problem =
          Problems.of(
              HttpStatus.PRECONDITION_REQUIRED,
              ProblemType.EDITION_MISSING,
              Sentence.of("problem.edition-missing"));
      return new ResponseEntity<>(problem, headers, HttpStatus.PRECONDITION_REQUIRED);
    }
    return super.handleServletRequestBindingException(e, headers, code, r);
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> unexpected(Exception e) {
    if (DatabaseAway.isCauseOf(e)) {
      return busy(ProblemType.DATABASE_AWAY, e);
    }
    if (isOutOfMemory(e)) {
      return busy(ProblemType.MEMORY_FULL, e);
    }
    LOG.error("Request failed", e);
    return ResponseEntity.internalServerError()
        .body(
            Problems.of(
                HttpStatus.INTERNAL_SERVER_ERROR,
                ProblemType.INTERNAL,
                Sentence.of("problem.internal")));
  }

  @Override
  protected ResponseEntity<Object> handleMaxUploadSizeExceededException(
      MaxUploadSizeExceededException e, HttpHeaders headers, HttpStatusCode code, WebRequest r) {
    ProblemDetail problem =
        Problems.of(
            HttpStatus.PAYLOAD_TOO_LARGE, ProblemType.TOO_LARGE, Sentence.of("problem.file-large"));
    return new ResponseEntity<>(problem, headers, HttpStatus.PAYLOAD_TOO_LARGE);
  }

  @Override
  protected ResponseEntity<Object> handleMissingServletRequestPart(
      MissingServletRequestPartException e,
      HttpHeaders headers,
      HttpStatusCode code,
      WebRequest r) {
    ProblemDetail problem =
        Problems.of(
            HttpStatus.BAD_REQUEST,
            ProblemType.MISSING_FILE,
            Sentence.of("problem.file-missing", "part", e.getRequestPartName()));
    return new ResponseEntity<>(problem, headers, HttpStatus.BAD_REQUEST);
  }

  @Override
  protected ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode code, WebRequest r) {
    ProblemDetail problem =
        Problems.of(HttpStatus.BAD_REQUEST, ProblemType.BAD_BODY, unreadable(e));
    return new ResponseEntity<>(problem, headers, HttpStatus.BAD_REQUEST);
  }

  /** The place in the body, in its own words; never the reader's, which speak of classes. */
  private static Sentence unreadable(HttpMessageNotReadableException e) {
    if (!(e.getCause() instanceof DatabindException unmapped) || unmapped.getPath().isEmpty()) {
      return Sentence.of("problem.body");
    }
    String pointer =
        unmapped.getPath().stream()
            .map(
                step ->
                    step.getPropertyName() == null
                        ? "/" + step.getIndex()
                        : "/" + step.getPropertyName())
            .collect(Collectors.joining());
    return unmapped instanceof UnrecognizedPropertyException unknown
        ? Sentence.of("problem.body-unknown", "pointer", pointer, "known", known(unknown))
        : Sentence.of("problem.body-at", "pointer", pointer);
  }

  private static String known(UnrecognizedPropertyException e) {
    return e.getKnownPropertyIds().stream()
        .map(String::valueOf)
        .sorted()
        .collect(Collectors.joining(", "));
  }
}
