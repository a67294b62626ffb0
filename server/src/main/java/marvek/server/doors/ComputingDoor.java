package marvek.server.doors;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Pattern;
import marvek.core.say.Sentence;
import marvek.server.problems.ProblemType;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Requests that run the model: as many at once as there are processors, some more wait their turn,
 * and who comes beyond these is told to come again. Without it many at once would all be slow.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 3)
class ComputingDoor extends OncePerRequestFilter {
  /** What runs the model, on a draft or for a session; a revision as it was kept is at hand. */
  private static final Pattern COMPUTES =
      Pattern.compile(
          "/api/books/[^/]+/(try|change|car|calls|days|purposes|sheets/compare|findings"
              + "|corners/[^/]+/(schools|link|gears|history)|revisions/[^/]+/card\\.pdf)"
              + "|/api/sessions/[^/]+/(preparation|brief|issue|debrief|along|review)"
              // A password costs time and memory on purpose.
              + "|/api/(sign-in|me/account)");

  private static final Refusal BUSY =
      new Refusal(
          HttpStatus.SERVICE_UNAVAILABLE,
          ProblemType.COMPUTING,
          Sentence.of("problem.typed-is-kept"));

  private final Semaphore computing;
  private final AtomicInteger inside = new AtomicInteger();
  private final int most;
  private final long patienceMs;

  /**
   * @param atOnce how many compute; 0 for as many as there are processors, at least two
   * @param waiting how many more may wait
   * @param patienceMs for how long
   */
  ComputingDoor(
      @Value("${marvek.computing.at-once:0}") int atOnce,
      @Value("${marvek.computing.waiting:60}") int waiting,
      @Value("${marvek.computing.patience-ms:20000}") long patienceMs) {
    int slots = atOnce > 0 ? atOnce : Math.max(2, Runtime.getRuntime().availableProcessors());
    this.computing = new Semaphore(slots, true);
    this.most = slots + waiting;
    this.patienceMs = patienceMs;
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return !COMPUTES.matcher(request.getRequestURI()).matches();
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    try {
      if (inside.incrementAndGet() > most || !taken()) {
        BUSY.answer(response);
        return;
      }
      try {
        chain.doFilter(request, response);
      } finally {
        computing.release();
      }
    } finally {
      inside.decrementAndGet();
    }
  }

  private boolean taken() {
    try {
      return computing.tryAcquire(patienceMs, TimeUnit.MILLISECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return false;
    }
  }
}
