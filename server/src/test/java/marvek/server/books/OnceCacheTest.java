package marvek.server.books;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** One computes, however many ask; and nobody is left without an answer because another went. */
class OnceCacheTest {
  private final OnceCache<String, Integer> cache = new OnceCache<>(100, (key, weight) -> weight);
  private final ExecutorService askers = Executors.newFixedThreadPool(4);
  private final AtomicInteger computed = new AtomicInteger();
  private final CountDownLatch begun = new CountDownLatch(1);
  private final CountDownLatch go = new CountDownLatch(1);

  @AfterEach
  void stop() {
    askers.shutdownNow();
  }

  private Supplier<Integer> slow(int value) {
    return () -> {
      computed.incrementAndGet();
      begun.countDown();
      try {
        go.await();
      } catch (InterruptedException e) {
        throw new CancellationException("stopped");
      }
      return value;
    };
  }

  private Future<Integer> ask(Callable<Integer> question) {
    return askers.submit(question);
  }

  @Test
  void manyWhoAskAtOnceHaveOneComputed() throws Exception {
    Future<Integer> first = ask(() -> cache.get("a", slow(7)));
    begun.await();
    Future<Integer> second = ask(() -> cache.get("a", slow(8)));
    Future<Integer> third = ask(() -> cache.get("a", slow(9)));
    go.countDown();
    assertThat(first.get(5, TimeUnit.SECONDS)).isEqualTo(7);
    assertThat(second.get(5, TimeUnit.SECONDS)).isEqualTo(7);
    assertThat(third.get(5, TimeUnit.SECONDS)).isEqualTo(7);
    assertThat(computed).hasValue(1);
  }

  /** Who came first leaves: who waits for the same goes on with it himself. */
  @Test
  void whoWaitsGoesOnWhereTheFirstWasStopped() throws Exception {
    Future<Integer> first = ask(() -> cache.get("a", slow(7)));
    begun.await();
    Future<Integer> second = ask(() -> cache.get("a", () -> 8));
    first.cancel(true);
    assertThat(second.get(5, TimeUnit.SECONDS)).isEqualTo(8);
    assertThat(cache.get("a", () -> 9)).isEqualTo(8);
  }

  @Test
  void aFaultIsToldAndTriedAgainByTheNext() {
    assertThatThrownBy(
            () ->
                cache.get(
                    "a",
                    () -> {
                      throw new IllegalArgumentException("not like this");
                    }))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessage("not like this");
    assertThat(cache.get("a", () -> 5)).isEqualTo(5);
  }

  @Test
  void whatIsForgottenIsComputedAgain() {
    cache.get("a", () -> 1);
    cache.get("b", () -> 2);
    cache.forget(key -> key.equals("a"));
    assertThat(cache.get("a", () -> 3)).isEqualTo(3);
    assertThat(cache.get("b", () -> 4)).isEqualTo(2);
  }

  /** Together they weigh at most so much; what is heavier alone is not kept. */
  @Test
  void theHeavyGo() {
    cache.get("heavy", () -> 150);
    await(() -> cache.get("heavy", () -> 1) == 1);
    for (int k = 0; k < 20; k++) {
      int weight = 40 + k;
      cache.get("k" + k, () -> weight);
    }
    // Asked for again, what is gone comes back as nothing; at most two of 40 and more are kept.
    await(() -> keptOf(20) <= 2);
  }

  private int keptOf(int keys) {
    int kept = 0;
    for (int k = 0; k < keys; k++) {
      kept += cache.get("k" + k, () -> 0) != 0 ? 1 : 0;
    }
    return kept;
  }

  private static void await(java.util.function.BooleanSupplier comes) {
    for (int k = 0; k < 200 && !comes.getAsBoolean(); k++) {
      java.util.concurrent.locks.LockSupport.parkNanos(10_000_000);
    }
    assertThat(comes.getAsBoolean()).isTrue();
  }
}
