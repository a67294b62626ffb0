package marvek.server;

import com.fasterxml.jackson.annotation.JsonAutoDetect;
import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.jackson.ModelResolver;
import io.swagger.v3.core.jackson.TypeNameResolver;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import java.util.Iterator;
import java.util.List;
import org.springdoc.core.customizers.GlobalOpenApiCustomizer;
import org.springdoc.core.customizers.GlobalOperationCustomizer;
import org.springdoc.core.providers.ObjectMapperProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.method.HandlerMethod;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * How the interface is described at {@code /api/openapi.json}: an operation by the verb that its
 * method is called, under its feature; a schema by its type and the type it stands in, so that no
 * two are one; problem details on every operation; trees of JSON as the JSON that they are.
 */
@Configuration
class Contract {
  private static final String PROBLEM = "Problem";

  @Bean
  ModelResolver named(ObjectMapperProvider mappers) {
    return new Described(mappers.jsonMapper());
  }

  /** Trees of JSON are the JSON that they are, and not what their library makes of them. */
  private static final class Described extends ModelResolver {
    Described(com.fasterxml.jackson.databind.ObjectMapper mapper) {
      super(mapper.addMixIn(JsonNode.class, Opaque.class), new Names());
    }

    @Override
    public Schema<?> resolve(
        AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> next) {
      Class<?> raw = _mapper.constructType(type.getType()).getRawClass();
      if (!JsonNode.class.isAssignableFrom(raw)) {
        return super.resolve(type, context, next);
      }
      return raw == ObjectNode.class
          ? new ObjectSchema()
          : raw == ArrayNode.class ? new ArraySchema().items(new Schema<>()) : new Schema<>();
    }
  }

  /** Nothing of a tree's own methods is a member of it. */
  @JsonAutoDetect(
      getterVisibility = Visibility.NONE,
      isGetterVisibility = Visibility.NONE,
      setterVisibility = Visibility.NONE)
  private interface Opaque {}

  /** {@code BookController.KeepBody} as BookKeepBody. */
  private static final class Names extends TypeNameResolver {
    @Override
    protected String getNameOfClass(Class<?> type) {
      Class<?> outer = type.getEnclosingClass();
      return outer == null ? type.getSimpleName() : outerName(outer) + type.getSimpleName();
    }

    private String outerName(Class<?> outer) {
      return getNameOfClass(outer).replaceFirst("Controller$", "");
    }
  }

  @Bean
  GlobalOperationCustomizer operations() {
    return (operation, method) -> described(operation, method);
  }

  private static Operation described(Operation operation, HandlerMethod method) {
    String feature = method.getBeanType().getPackageName();
    operation.setTags(List.of(feature.substring(feature.lastIndexOf('.') + 1)));
    operation.setOperationId(method.getMethod().getName());
    Schema<?> problem = new Schema<>().$ref(PROBLEM);
    Content content =
        new Content().addMediaType("application/problem+json", new MediaType().schema(problem));
    ApiResponse refused =
        new ApiResponse().description("What is wrong, where, and what to do").content(content);
    operation.getResponses().setDefault(refused);
    return operation;
  }

  @Bean
  GlobalOpenApiCustomizer whole() {
    return api -> {
      api.setInfo(new Info().title("Marvek").version("1"));
      api.getComponents().addSchemas(PROBLEM, problem());
    };
  }

  /** RFC 9457, with the place in a file or a body, and what somebody else kept meanwhile. */
  private static Schema<?> problem() {
    return new ObjectSchema()
        .addProperty("type", new StringSchema())
        .addProperty("title", new StringSchema())
        .addProperty("status", new IntegerSchema())
        .addProperty("detail", new StringSchema())
        .addProperty("instance", new StringSchema())
        .addProperty("line", new IntegerSchema().description("line of the file"))
        .addProperty("column", new StringSchema().description("column of the file"))
        .addProperty("pointer", new StringSchema().description("JSON pointer into the file"))
        .addProperty("field", new StringSchema().description("member of the body"))
        .addProperty("theirs", new Schema<>().description("what is stored now, on 412"))
        .required(List.of("title", "status", "detail"));
  }
}
