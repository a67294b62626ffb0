package marvek.server.books;

import java.util.List;
import java.util.UUID;
import tools.jackson.databind.JsonNode;

/** What other features keep for a book, so that it goes along in the book's file. */
public interface BookAttachment {
  /** Name of the member of the file that it is written to. */
  String member();

  /** Everything of a book in the order it was made. */
  List<JsonNode> of(UUID bookId);

  /** Takes one entry in, in the transaction of the whole book. */
  void add(UUID bookId, JsonNode document);
}
