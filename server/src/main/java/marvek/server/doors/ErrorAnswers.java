package marvek.server.doors;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import marvek.core.say.Sentence;
import marvek.server.problems.ProblemType;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** What the server itself gave up on, told as every other problem. */
@Controller
class ErrorAnswers implements ErrorController {
  @RequestMapping("/error")
  void tellFault(HttpServletRequest request, HttpServletResponse response) throws IOException {
    Object cause = request.getAttribute(RequestDispatcher.ERROR_EXCEPTION);
    Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
    HttpStatus status = code instanceof Integer number ? HttpStatus.resolve(number) : null;
    refusal(cause, status == null ? HttpStatus.INTERNAL_SERVER_ERROR : status).answer(response);
  }

  private static Refusal refusal(Object cause, HttpStatus status) {
    if (cause instanceof BodyTooLargeException tooLarge) {
      return BodyValve.tooLarge(tooLarge.limit());
    }
    if (cause instanceof TooManyUploadsException) {
      return new Refusal(
          HttpStatus.SERVICE_UNAVAILABLE, ProblemType.SENDING, Sentence.of("problem.try-later"));
    }
    return switch (status) {
      case REQUEST_TIMEOUT ->
          new Refusal(status, ProblemType.TOO_SLOW, Sentence.of("problem.send-again"));
      case NOT_FOUND ->
          new Refusal(status, ProblemType.NOT_FOUND, Sentence.of("missing.nothing-here"));
      default -> new Refusal(status, ProblemType.REQUEST, Sentence.of("problem.request"));
    };
  }
}
