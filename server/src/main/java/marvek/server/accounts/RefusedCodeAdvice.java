package marvek.server.accounts;

import java.net.URI;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;

/** Tells that a code pairs nothing. */
@RestControllerAdvice
@Order(0)
class RefusedCodeAdvice {
  @ExceptionHandler
  ResponseEntity<ProblemDetail> refused(People.RefusedCodeException e) {
    HttpStatus status = e.tooMany() ? HttpStatus.TOO_MANY_REQUESTS : HttpStatus.FORBIDDEN;
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, e.getMessage());
    problem.setType(URI.create("urn:marvek:problem:code"));
    problem.setTitle("Not paired");
    return ResponseEntity.status(status).body(problem);
  }
}
