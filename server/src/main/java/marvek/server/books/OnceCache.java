package marvek.server.books;

import com.github.benmanes.caffeine.cache.AsyncCache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Weigher;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.function.Predicate;
import java.util.function.Supplier;

/**
 * Values that take their time to compute: once for a key, however many ask for it at once; the
 * least used go when together they weigh too much. Who asks first computes in his own thread, so
 * that ending his request ends it; the others then begin anew.
 */
final class OnceCache<K, V> {
  private final AsyncCache<K, V> values;

  /**
   * @param mostWeight of all values together
   */
  OnceCache(long mostWeight, Weigher<K, V> weigher) {
    values = Caffeine.newBuilder().maximumWeight(mostWeight).weigher(weigher).buildAsync();
  }

  /**
   * The value of a key.
   *
   * @throws CancellationException if the thread that asks is interrupted
   * @throws RuntimeException what computing it throws; the next one to ask tries again
   */
  V get(K key, Supplier<V> compute) {
    for (; ; ) {
      CompletableFuture<V> mine = new CompletableFuture<>();
      CompletableFuture<V> there = values.asMap().putIfAbsent(key, mine);
      if (there == null) {
        return computed(mine, compute);
      }
      try {
        return there.get();
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new CancellationException("waiting was cancelled");
      } catch (CancellationException e) {
        // Who computed it was stopped, not we: now it is ours to do.
        continue;
      } catch (ExecutionException e) {
        if (e.getCause() instanceof RuntimeException problem) {
          throw problem;
        }
        throw new IllegalStateException(e.getCause());
      }
    }
  }

  private static <V> V computed(CompletableFuture<V> mine, Supplier<V> compute) {
    try {
      V value = compute.get();
      mine.complete(value);
      return value;
    } catch (CancellationException e) {
      mine.cancel(false);
      throw e;
    } catch (RuntimeException | Error e) {
      mine.completeExceptionally(e);
      throw e;
    }
  }

  /** Forgets the values of some keys, those that are being computed among them. */
  void forget(Predicate<K> which) {
    values.asMap().keySet().removeIf(which);
  }
}
