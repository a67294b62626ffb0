package marvek.server.jobs;

import java.nio.charset.StandardCharsets;
import marvek.core.InvalidValueException;
import marvek.core.say.Sentence;
import marvek.formats.BadFileException;
import marvek.formats.JsonFiles;
import marvek.formats.SentenceJson;
import marvek.server.problems.ConflictException;
import marvek.server.problems.NotFoundException;
import marvek.server.problems.SaidException;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What is said of a failure to who asked for the work.
 *
 * @param words for scripts
 * @param field of a value that cannot be used, else null
 */
record Told(String words, @Nullable String field, Sentence said) {
  /** Whether its own words are for the asker; those of others speak of classes and tables. */
  static boolean toItsAsker(RuntimeException failure) {
    return failure instanceof InvalidValueException
        || failure instanceof BadFileException
        || failure instanceof ConflictException
        || failure instanceof NotFoundException;
  }

  static Told of(RuntimeException failure) {
    if (!toItsAsker(failure)) {
      Sentence internal = Sentence.of("problem.internal");
      return new Told(internal.words(), null, internal);
    }
    String words = failure.getMessage();
    if (failure instanceof InvalidValueException e) {
      return new Told(words, e.field(), e.said());
    }
    if (failure instanceof BadFileException e) {
      return new Told(words, e.field(), e.said());
    }
    return new Told(words, null, ((SaidException) failure).said());
  }

  /** As it is kept with the job. */
  String kept() {
    ObjectNode node = JsonFiles.MAPPER.createObjectNode().put("words", words);
    if (field != null) {
      node.put("field", field);
    }
    node.set("said", SentenceJson.write(said));
    return JsonFiles.write(node);
  }

  /** What {@link #kept} gave; jobs of older servers have words alone. */
  static @Nullable Told read(@Nullable String kept) {
    if (kept == null) {
      return null;
    }
    if (!kept.startsWith("{")) {
      return new Told(kept, null, Sentence.told(kept));
    }
    JsonNode node = JsonFiles.parse(kept.getBytes(StandardCharsets.UTF_8));
    return new Told(
        node.path("words").asString(),
        node.hasNonNull("field") ? node.path("field").asString() : null,
        SentenceJson.read(node.path("said")));
  }
}
