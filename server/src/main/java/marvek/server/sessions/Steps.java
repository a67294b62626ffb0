package marvek.server.sessions;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import marvek.core.conditions.Conditions.Surface;
import marvek.core.review.StepState;
import marvek.formats.JsonFiles;
import marvek.formats.StepStateJson;
import marvek.server.books.BookAttachment;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps how far the brake points of books are worked up to. */
@Service
class Steps implements BookAttachment {
  private final StepRepository repository;

  Steps(StepRepository repository) {
    this.repository = repository;
  }

  /** All states of a book on a surface, by corner. */
  @Transactional(readOnly = true)
  public Map<Integer, StepState> on(UUID bookId, Surface surface) {
    return repository.findByBookIdOrderByCornerAscSurfaceAsc(bookId).stream()
        .map(Steps::state)
        .filter(state -> state.surface() == surface)
        .collect(Collectors.toMap(StepState::corner, Function.identity()));
  }

  /** Keeps a state in the place of the one before. */
  @Transactional
  public void keep(UUID bookId, StepState state) {
    StoredStep stored =
        repository
            .findByBookIdAndCornerAndSurface(bookId, state.corner(), state.surface().name())
            .orElseGet(() -> new StoredStep(bookId, state));
    stored.becomes(state);
    repository.save(stored);
  }

  /** Forgets a state: the plan begins again. */
  @Transactional
  public void forget(UUID bookId, int corner, Surface surface) {
    repository
        .findByBookIdAndCornerAndSurface(bookId, corner, surface.name())
        .ifPresent(repository::delete);
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
