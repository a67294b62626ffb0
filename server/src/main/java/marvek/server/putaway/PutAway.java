package marvek.server.putaway;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import marvek.core.say.Sentence;
import marvek.server.problems.ConflictException;
import marvek.server.problems.NotFoundException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts things away, takes them back, and removes them when their time is over. */
@Service
class PutAway {
  /** So long they can be taken back. */
  static final Duration KEPT = Duration.ofDays(30);

  private final Map<String, PutsAway> kinds;
  private final DemoThings demo;

  PutAway(List<PutsAway> kinds, DemoThings demo) {
    this.demo = demo;
    this.kinds = kinds.stream().collect(Collectors.toMap(PutsAway::kind, Function.identity()));
  }

  /**
   * Something on the list of what is put away.
   *
   * @param until when it goes for good
   */
  record AwayView(
      String kind,
      UUID id,
      String name,
      Instant at,
      Instant until,
      List<PutsAway.Goes> goes,
      List<String> keptBy) {}

  /** All that is put away, the newest first; what was so for too long is removed before. */
  @Transactional
  public List<AwayView> list() {
    removeOld();
    return kinds.values().stream()
        .flatMap(kind -> kind.away().stream().map(away -> view(kind.kind(), away)))
        .sorted((a, b) -> b.at().compareTo(a.at()))
        .toList();
  }

  private static AwayView view(String kind, PutsAway.Away away) {
    Instant until = away.at().plus(KEPT);
    return new AwayView(kind, away.id(), away.name(), away.at(), until, away.goes(), away.keptBy());
  }

  private void removeOld() {
    Instant before = Instant.now().minus(KEPT);
    for (PutsAway kind : kinds.values()) {
      kind.away().stream()
          .filter(away -> away.at().isBefore(before) && away.keptBy().isEmpty())
          .forEach(away -> kind.remove(away.id()));
    }
  }

  @Transactional
  public void putAway(String kind, UUID id) {
    check(of(kind).putAway(id, Instant.now()), kind, id);
  }

  /** What of the demo is on the shelf. */
  @Transactional(readOnly = true)
  public List<UUID> demoThere() {
    return demo.all().stream()
        .filter(thing -> of(thing.kind()).isThere(thing.id()))
        .map(DemoThings.Thing::id)
        .toList();
  }

  /** Puts away what came with the demo and is still there. */
  @Transactional
  public void putDemoAway() {
    demo.all().forEach(thing -> of(thing.kind()).putAway(thing.id(), Instant.now()));
  }

  @Transactional
  public void takeBack(String kind, UUID id) {
    check(of(kind).takeBack(id), kind, id);
  }

  /**
   * Removes something for good.
   *
   * @throws NotFoundException if it is not put away
   * @throws ConflictException if something needs it
   */
  @Transactional
  public void remove(String kind, UUID id) {
    PutsAway.Away away =
        of(kind).away().stream()
            .filter(a -> a.id().equals(id))
            .findFirst()
            .orElseThrow(() -> none(kind, id));
    if (!away.keptBy().isEmpty()) {
      throw new ConflictException(
          Sentence.of(
              "conflict.needed-by",
              "name",
              away.name(),
              "needed_by",
              String.join(", ", away.keptBy())));
    }
    of(kind).remove(id);
  }

  private PutsAway of(String kind) {
    PutsAway found = kinds.get(kind);
    if (found == null) {
      throw new NotFoundException(
          Sentence.of(
              "missing.kind",
              "kind",
              kind,
              "known",
              String.join(", ", kinds.keySet().stream().sorted().toList())));
    }
    return found;
  }

  private static void check(boolean done, String kind, UUID id) {
    if (!done) {
      throw none(kind, id);
    }
  }

  private static NotFoundException none(String kind, UUID id) {
    return NotFoundException.of(kind, id);
  }
}
