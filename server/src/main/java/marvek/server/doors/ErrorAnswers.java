package marvek.server.doors;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
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
          HttpStatus.SERVICE_UNAVAILABLE,
          "busy",
          "Too much is being sent at once",
          "Try again in a moment. Nothing was stored.");
    }
    return switch (status) {
      case REQUEST_TIMEOUT ->
          new Refusal(
              status, "too-slow", "It came too slowly", "Send it again. Nothing was stored.");
      case NOT_FOUND -> new Refusal(status, "not-found", "Not found", "There is nothing here.");
      default ->
          new Refusal(
              status,
              "request",
              status.getReasonPhrase(),
              "The request cannot be answered. The interface is described at /api/openapi.json.");
    };
  }
}
