package marvek.server.books;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.UUID;
import marvek.server.contract.InFormat;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Pages with what is drawn along their lap, whole or as far as they differ from a kept revision.
 */
@Component
class Views {
  /** Kept revisions that drafts stand against: about 8 bytes for each of so many numbers. */
  private static final long MOST_NUMBERS = 4_000_000;

  /** Columns of a trace. */
  private static final int COLUMNS = 17;

  private final Books books;
  private final Cache<Key, Tried> kept =
      Caffeine.newBuilder()
          .maximumWeight(MOST_NUMBERS)
          .weigher((Key key, Tried view) -> COLUMNS * view.trace().x_m().length)
          .build();

  Views(Books books) {
    this.books = books;
  }

  private record Key(UUID book, int revision) {}

  /** Pages, and what is drawn. */
  record Tried(@InFormat("revision") ObjectNode revision, Trace trace) {}

  /**
   * What a draft changes.
   *
   * @param revision as a whole revision, but of its pages those alone that are not as the parent's;
   *     all of them where the trace is whole
   */
  record Changed(@InFormat("revision") ObjectNode revision, TraceChange trace) {}

  /** A kept revision. */
  Tried of(UUID book, int number) {
    // Asked for in any case: whose book it is may not be told by what is at hand.
    books.book(book);
    return kept.get(new Key(book, number), key -> tried(books.recompute(book, number)));
  }

  /** A draft. */
  Tried of(UUID book, Integer parent, Draft draft) {
    return tried(books.tryOut(book, parent, draft));
  }

  /** What a draft changes of the revision that it was made from. */
  Changed changed(UUID book, int parent, Draft draft) {
    Tried before = of(book, parent);
    Tried now = of(book, (Integer) parent, draft);
    TraceChange trace = TraceChange.between(before.trace(), now.trace());
    ArrayNode pages = now.revision().withArray("pages");
    if (trace.whole() == null && sameCorners(before.revision().path("pages"), pages)) {
      for (int p = pages.size() - 1; p >= 0; p--) {
        if (pages.get(p).equals(before.revision().path("pages").get(p))) {
          pages.remove(p);
        }
      }
      return new Changed(now.revision(), trace);
    }
    return new Changed(now.revision(), TraceChange.whole(now.trace()));
  }

  private static boolean sameCorners(JsonNode before, JsonNode now) {
    boolean same = before.size() == now.size();
    for (int p = 0; same && p < now.size(); p++) {
      same = before.get(p).path("corner").asInt() == now.get(p).path("corner").asInt();
    }
    return same;
  }

  private static Tried tried(Books.Computed computed) {
    return new Tried(
        computed.document(),
        Trace.of(computed.basis(), computed.conditions(), computed.reference()));
  }
}
