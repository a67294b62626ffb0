package marvek.server.doors;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import marvek.core.say.Sentence;
import marvek.server.problems.ProblemType;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Large files are read one after the other: one of them fills a good part of the memory while it is
 * understood, two at once all of it.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class LargeUploads extends OncePerRequestFilter {
  private static final long LARGE = 16L * 1024 * 1024;
  private static final long PATIENCE_S = 30;

  private static final Refusal BUSY =
      new Refusal(
          HttpStatus.SERVICE_UNAVAILABLE,
          ProblemType.READING,
          Sentence.of("problem.send-again-later"));

  private final Semaphore reading = new Semaphore(1, true);

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    long size = request.getContentLengthLong();
    // What does not say how long it is may be long.
    boolean large = size > LARGE || (size < 0 && request.getHeader("Transfer-Encoding") != null);
    if (!large) {
      chain.doFilter(request, response);
    } else if (!taken()) {
      BUSY.answer(response);
    } else {
      try {
        chain.doFilter(request, response);
      } finally {
        reading.release();
      }
    }
  }

  private boolean taken() {
    try {
      return reading.tryAcquire(PATIENCE_S, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return false;
    }
  }
}
