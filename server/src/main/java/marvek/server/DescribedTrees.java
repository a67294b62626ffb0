package marvek.server;

import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Trees of JSON are described as the JSON that they are, and not by what the library makes of them.
 */
@Configuration
class DescribedTrees {
  static {
    SpringDocUtils.getConfig()
        .replaceWithSchema(JsonNode.class, new Schema<>())
        .replaceWithSchema(ObjectNode.class, new ObjectSchema())
        .replaceWithSchema(ArrayNode.class, new ArraySchema().items(new Schema<>()));
  }
}
