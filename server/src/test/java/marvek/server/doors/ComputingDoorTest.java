package marvek.server.doors;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

/** So many compute, so many wait, and who comes beyond these is told when to come again. */
class ComputingDoorTest {
  private static final String TRY = "/api/books/7/try";
  private final ExecutorService people = Executors.newCachedThreadPool();
  private final CountDownLatch inside = new CountDownLatch(2);
  private final CountDownLatch leave = new CountDownLatch(1);

  @AfterEach
  void stop() {
    people.shutdownNow();
  }

  private Future<MockHttpServletResponse> comes(ComputingDoor door, String path) {
    return people.submit(
        () -> {
          MockHttpServletResponse response = new MockHttpServletResponse();
          door.doFilter(
              new MockHttpServletRequest("POST", path),
              response,
              (request, answer) -> {
                inside.countDown();
                try {
                  leave.await();
                } catch (InterruptedException e) {
                  Thread.currentThread().interrupt();
                }
              });
          return response;
        });
  }

  private static int status(Future<MockHttpServletResponse> answer) throws Exception {
    return answer.get(5, TimeUnit.SECONDS).getStatus();
  }

  @Test
  void whoComesBeyondTheQueueIsToldToComeAgain() throws Exception {
    ComputingDoor door = new ComputingDoor(2, 1, 60_000);
    Future<MockHttpServletResponse> first = comes(door, TRY);
    Future<MockHttpServletResponse> second = comes(door, TRY);
    inside.await();
    Future<MockHttpServletResponse> waits = comes(door, TRY);
    MockHttpServletResponse refused = null;
    // One of these two waits, the other is beyond the queue.
    Future<MockHttpServletResponse> fourth = comes(door, TRY);
    for (int k = 0; k < 500 && refused == null; k++) {
      refused = fourth.isDone() ? fourth.get() : waits.isDone() ? waits.get() : null;
      java.util.concurrent.locks.LockSupport.parkNanos(10_000_000);
    }
    assertThat(refused).isNotNull();
    assertThat(refused.getStatus()).isEqualTo(503);
    assertThat(refused.getHeader("Retry-After")).isEqualTo("3");
    assertThat(refused.getContentAsString()).contains("what you typed is kept");
    leave.countDown();
    assertThat(status(first)).isEqualTo(200);
    assertThat(status(second)).isEqualTo(200);
    assertThat(status(waits) + status(fourth)).isEqualTo(200 + 503);
    assertThat(status(comes(door, TRY))).isEqualTo(200);
  }

  @Test
  void patienceEnds() throws Exception {
    ComputingDoor door = new ComputingDoor(2, 5, 50);
    comes(door, TRY);
    comes(door, TRY);
    inside.await();
    assertThat(status(comes(door, TRY))).isEqualTo(503);
  }

  /** What only reads goes by while others compute. */
  @ParameterizedTest
  @CsvSource({
    "/api/books/7/try, 503",
    "/api/books/7/change, 503",
    "/api/books/7/corners/3/schools, 503",
    "/api/books/7/days, 503",
    "/api/books/7/car, 503",
    "/api/books/7/revisions/2/card.pdf, 503",
    "/api/sessions/7/preparation, 503",
    "/api/sessions/7/debrief, 503",
    "/api/books, 200",
    "/api/sessions, 200",
    "/api/sessions/7, 200",
    "/api/sessions/7/remarks, 200",
    "/api/books/7, 200",
    "/api/books/7/revisions/1/view, 200",
    "/api/jobs/7, 200"
  })
  void onlyWhatRunsTheModelWaits(String path, int expected) throws Exception {
    ComputingDoor door = new ComputingDoor(2, 0, 60_000);
    comes(door, TRY);
    comes(door, TRY);
    inside.await();
    Future<MockHttpServletResponse> answer = comes(door, path);
    if (expected == 200) {
      leave.countDown();
    }
    assertThat(status(answer)).isEqualTo(expected);
  }
}
