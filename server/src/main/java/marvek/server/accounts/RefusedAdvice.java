package marvek.server.accounts;

import java.net.URI;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;

/** Tells that a code, or a name and a password, lets nobody in. */
@RestControllerAdvice
@Order(0)
class RefusedAdvice {
  @ExceptionHandler
  ResponseEntity<ProblemDetail> refused(People.RefusedCodeException e) {
    return answer(e, e.tooMany(), "code", "Not paired");
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> refused(Accounts.RefusedSignInException e) {
    return answer(e, e.tooMany(), "sign-in", "Not signed in");
  }

  private static ResponseEntity<ProblemDetail> answer(
      RuntimeException e, boolean tooMany, String type, String title) {
    HttpStatus status = tooMany ? HttpStatus.TOO_MANY_REQUESTS : HttpStatus.FORBIDDEN;
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, e.getMessage());
    problem.setType(URI.create("urn:marvek:problem:" + type));
    problem.setTitle(title);
    return ResponseEntity.status(status).body(problem);
  }
}
