package marvek.server.sessions;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import marvek.core.conditions.Conditions.Surface;
import marvek.core.review.StepState;
import marvek.formats.JsonFiles;
import marvek.formats.StepStateJson;
import marvek.server.books.BookAttachment;
import marvek.server.editions.Edition;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/** Keeps how far the brake points of books are worked up to. */
@Service
class Steps implements BookAttachment {
  private final StepRepository repository;
  private final TransactionTemplate transaction;

  Steps(StepRepository repository, TransactionTemplate transaction) {
    this.repository = repository;
    this.transaction = transaction;
  }

  /**
   * A state with its edition.
   *
   * @param state null where nothing is begun
   */
  record Kept(StepState state, long edition) {
    static final Kept NONE = new Kept(null, Edition.NONE);
  }

  /** All states of a book on a surface, by corner. */
  public Map<Integer, StepState> on(UUID bookId, Surface surface) {
    return keptOn(bookId, surface).entrySet().stream()
        .collect(Collectors.toMap(Map.Entry::getKey, e -> e.getValue().state()));
  }

  /** The same with their editions. */
  Map<Integer, Kept> keptOn(UUID bookId, Surface surface) {
    return repository.findByBookIdOrderByCornerAscSurfaceAsc(bookId).stream()
        .map(stored -> new Kept(state(stored), stored.edition()))
        .filter(kept -> kept.state().surface() == surface)
        .collect(Collectors.toMap(kept -> kept.state().corner(), Function.identity()));
  }

  /** Keeps a state in the place of the one before. */
  public void keep(UUID bookId, StepState state) {
    keep(bookId, state, Edition.ANY);
  }

  /**
   * Keeps a state that was made from the one before.
   *
   * @param seen the edition of that
   */
  void keep(UUID bookId, StepState state, Edition seen) {
    transaction.executeWithoutResult(
        status -> {
          StoredStep stored =
              unchanged(bookId, state.corner(), state.surface(), seen)
                  .orElseGet(() -> new StoredStep(bookId, state));
          stored.becomes(state);
          repository.saveAndFlush(stored);
        });
  }

  /** Forgets a state: the plan begins again. */
  void forget(UUID bookId, int corner, Surface surface, Edition seen) {
    transaction.executeWithoutResult(
        status -> unchanged(bookId, corner, surface, seen).ifPresent(repository::delete));
  }

  private Optional<StoredStep> unchanged(UUID bookId, int corner, Surface surface, Edition seen) {
    Optional<StoredStep> stored =
        repository.findByBookIdAndCornerAndSurface(bookId, corner, surface.name());
    long now = stored.map(StoredStep::edition).orElse(Edition.NONE);
    seen.check(now, () -> stored.map(Steps::tree).orElse(null));
    return stored;
  }

  private static StepState state(StoredStep stored) {
    return StepStateJson.read(tree(stored), "");
  }

  private static JsonNode tree(StoredStep stored) {
    return JsonFiles.parse(stored.document().getBytes(StandardCharsets.UTF_8));
  }

  @Override
  public String member() {
    return "steps";
  }

  @Override
  public List<JsonNode> of(UUID bookId) {
    return repository.findByBookIdOrderByCornerAscSurfaceAsc(bookId).stream()
        .map(Steps::tree)
        .toList();
  }

  @Override
  public void add(UUID bookId, JsonNode document) {
    repository.save(new StoredStep(bookId, StepStateJson.read(document, "")));
  }
}
