package marvek.server.books;

import marvek.formats.JsonFiles;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;

/**
 * What a list shows of a revision, read from the head of its document: the pages behind it, which
 * are most of it, are not looked at.
 */
record RevisionHead(String reason, double timeS) {

  static RevisionHead of(Revision revision) {
    try (JsonParser parser = JsonFiles.MAPPER.createParser(revision.document())) {
      return read(parser);
    }
  }

  private static RevisionHead read(JsonParser parser) {
    String reason = "";
    parser.nextToken();
    while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
      String name = parser.currentName();
      parser.nextToken();
      if (name.equals("reason")) {
        reason = parser.getString();
      } else if (name.equals("lap")) {
        return new RevisionHead(reason, timeIn(parser));
      } else {
        parser.skipChildren();
      }
    }
    return new RevisionHead(reason, 0);
  }

  private static double timeIn(JsonParser lap) {
    while (lap.nextToken() == JsonToken.PROPERTY_NAME) {
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
