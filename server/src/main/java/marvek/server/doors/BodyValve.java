package marvek.server.doors;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.util.concurrent.Semaphore;
import marvek.core.say.Sentence;
import marvek.server.problems.ProblemType;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.apache.coyote.InputBuffer;
import org.springframework.http.HttpStatus;

/**
 * Bounds every body before anything reads it, forms with files among them: those are read by the
 * server itself and pass no filter.
 */
final class BodyValve extends ValveBase {
  /** Bodies that may be waited for at once; the other threads go on answering. */
  private static final int WAITED_FOR = 64;

  private final Semaphore waiting = new Semaphore(WAITED_FOR);

  BodyValve() {
    super(true);
  }

  @Override
  public void invoke(Request request, Response response) throws IOException, ServletException {
    long limit = BodyLimits.of(request.getRequestURI());
    org.apache.coyote.Request coyote = request.getCoyoteRequest();
    InputBuffer plain = coyote.getInputBuffer();
    PacedInput paced = new PacedInput(plain, limit, waiting);
    coyote.setInputBuffer(paced);
    try {
      if (request.getContentLengthLong() > limit) {
        tooLarge(limit).answer(response);
      } else {
        getNext().invoke(request, response);
      }
    } finally {
      if (!request.isAsync() && !paced.finish()) {
        // The server would read the rest at the sender's pace. Told first, so that the status
        // stays.
        response.flushBuffer();
        coyote.action(ActionCode.DISABLE_SWALLOW_INPUT, null);
      }
      paced.leavePlace();
      coyote.setInputBuffer(plain);
    }
  }

  static Refusal tooLarge(long limit) {
    return new Refusal(
        HttpStatus.PAYLOAD_TOO_LARGE,
        ProblemType.BODY_TOO_LARGE,
        limit >= 1024 * 1024
            ? Sentence.of("problem.most-mb", "most", limit / 1024 / 1024)
            : Sentence.of("problem.most-kb", "most", limit / 1024));
  }
}
