package marvek.server.books;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import java.io.IOException;
import java.io.UncheckedIOException;
import marvek.formats.JsonFiles;

/**
 * What a list shows of a revision, read from the head of its document: the pages behind it, which
 * are most of it, are not looked at.
 */
record RevisionHead(String reason, double timeS) {

  static RevisionHead of(Revision revision) {
    try (JsonParser parser = JsonFiles.MAPPER.createParser(revision.document())) {
      return read(parser);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static RevisionHead read(JsonParser parser) throws IOException {
    String reason = "";
    parser.nextToken();
    while (parser.nextToken() == JsonToken.FIELD_NAME) {
      String name = parser.currentName();
      parser.nextToken();
      if (name.equals("reason")) {
        reason = parser.getText();
      } else if (name.equals("lap")) {
        return new RevisionHead(reason, timeIn(parser));
      } else {
        parser.skipChildren();
      }
    }
    return new RevisionHead(reason, 0);
  }

  private static double timeIn(JsonParser lap) throws IOException {
    while (lap.nextToken() == JsonToken.FIELD_NAME) {
      boolean time = lap.currentName().equals("time_s");
      lap.nextToken();
      if (time) {
        return lap.getDoubleValue();
      }
      lap.skipChildren();
    }
    return 0;
  }
}
