package marvek.server.contract;

import marvek.core.mark.MarkReference;
import marvek.formats.RevisionJson;
import org.springframework.boot.jackson.JacksonComponent;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueSerializer;

/** A point told by its mark is written as the pages of a book write it, wherever it is answered. */
@JacksonComponent
class MarkWriter extends ValueSerializer<MarkReference> {
  @Override
  public void serialize(MarkReference mark, JsonGenerator out, SerializationContext context) {
    out.writeTree(RevisionJson.mark(mark));
  }

  @Override
  public Class<MarkReference> handledType() {
    return MarkReference.class;
  }
}
