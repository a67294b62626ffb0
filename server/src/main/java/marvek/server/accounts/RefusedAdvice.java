package marvek.server.accounts;

import marvek.server.problems.ProblemType;
import marvek.server.problems.Problems;
import marvek.server.problems.SaidException;
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
    return answer(e, e.tooMany(), ProblemType.CODE);
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> refused(Accounts.RefusedSignInException e) {
    return answer(e, e.tooMany(), ProblemType.SIGN_IN);
  }

  private static ResponseEntity<ProblemDetail> answer(
      SaidException e, boolean tooMany, ProblemType type) {
    return Problems.answer(
        tooMany ? HttpStatus.TOO_MANY_REQUESTS : HttpStatus.FORBIDDEN, type, e.said());
  }
}
