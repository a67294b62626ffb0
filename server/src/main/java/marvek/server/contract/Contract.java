package marvek.server.contract;

import io.swagger.v3.core.jackson.ModelResolver;
import io.swagger.v3.oas.models.Components;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.BinarySchema;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.parameters.Parameter;
import io.swagger.v3.oas.models.responses.ApiResponse;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import marvek.core.say.Catalogue;
import marvek.formats.JsonFiles;
import marvek.formats.PointCatalogue;
import org.springdoc.core.customizers.GlobalOpenApiCustomizer;
import org.springdoc.core.customizers.GlobalOperationCustomizer;
import org.springdoc.core.providers.ObjectMapperProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.method.HandlerMethod;

/**
 * How the interface is described: an operation by the verb that its method is called, under its
 * feature, with problem details; schemas by {@link TypeSchemas} and {@link FormatSchemas}.
 */
@Configuration
class Contract {
  static final String PROBLEM = "Problem";

  @Bean
  ModelResolver types(ObjectMapperProvider mappers) {
    return new TypeSchemas(mappers.jsonMapper());
  }

  @Bean
  GlobalOperationCustomizer operations() {
    return Contract::described;
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
    trees(operation, method);
    parts(operation, method);
    operation.getResponses().values().forEach(Contract::kindOf);
    operation.getResponses().setDefault(refused);
    return operation;
  }

  /** JSON, or a file as it is. */
  private static void kindOf(ApiResponse answer) {
    MediaType any = answer.getContent() == null ? null : answer.getContent().remove("*/*");
    if (any == null) {
      return;
    }
    boolean file = "byte".equals(any.getSchema().getFormat());
    if (file) {
      any.setSchema(new BinarySchema());
    }
    answer.getContent().addMediaType(file ? "application/octet-stream" : "application/json", any);
  }

  /** A tree that is a whole body or a whole answer. */
  private static void trees(Operation operation, HandlerMethod method) {
    InFormat answer = method.getMethodAnnotation(InFormat.class);
    if (answer != null) {
      operation.getResponses().values().forEach(r -> set(r.getContent(), FormatSchemas.of(answer)));
    }
    for (MethodParameter parameter : method.getMethodParameters()) {
      if (parameter.hasParameterAnnotation(RequestBody.class)) {
        InFormat inFormat = parameter.getParameterAnnotation(InFormat.class);
        Holds holds = parameter.getParameterAnnotation(Holds.class);
        Content content = operation.getRequestBody().getContent();
        if (inFormat != null) {
          set(content, FormatSchemas.of(inFormat));
        }
        if (holds != null) {
          set(content, new Schema<>().$ref(holds.value().getSimpleName()));
        }
      }
    }
  }

  /** Beside a file everything is a part of the form; a text of JSON is told as what it holds. */
  private static void parts(Operation operation, HandlerMethod method) {
    MediaType form =
        operation.getRequestBody() == null
            ? null
            : operation.getRequestBody().getContent().get("multipart/form-data");
    if (form == null || operation.getParameters() == null) {
      return;
    }
    for (Parameter part : List.copyOf(operation.getParameters())) {
      if (part.getIn().equals("query")) {
        operation.getParameters().remove(part);
        form.getSchema().addProperty(part.getName(), held(part, method));
        if (part.getRequired()) {
          form.getSchema().addRequiredItem(part.getName());
        }
      }
    }
  }

  private static Schema<?> held(Parameter part, HandlerMethod method) {
    for (MethodParameter parameter : method.getMethodParameters()) {
      Holds holds = parameter.getParameterAnnotation(Holds.class);
      InFormat inFormat = parameter.getParameterAnnotation(InFormat.class);
      if (part.getName().equals(parameter.getParameter().getName())) {
        if (inFormat != null) {
          return FormatSchemas.of(inFormat);
        }
        if (holds != null && holds.value() == Map.class) {
          return new ObjectSchema().additionalProperties(new StringSchema());
        }
      }
    }
    return part.getSchema();
  }

  private static void set(Content content, Schema<?> schema) {
    content.values().forEach(media -> media.setSchema(schema));
  }

  @Bean
  GlobalOpenApiCustomizer whole() {
    return Contract::complete;
  }

  private static void complete(OpenAPI api) {
    api.setInfo(new Info().title("Marvek").version("1"));
    api.addExtension(
        "x-page-fields", JsonFiles.MAPPER.treeToValue(PointCatalogue.table(), List.class));
    api.addExtension("x-sentences", new TreeMap<>(Catalogue.all()));
    Components components = api.getComponents();
    components.addSchemas(PROBLEM, problem());
    FormatSchemas.all()
        .forEach(
            (name, schema) -> {
              if (components.getSchemas().containsKey(name)) {
                throw new IllegalStateException(name + " is the name of a type and of a format");
              }
              components.addSchemas(name, schema);
            });
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
        .addProperty("index", new IntegerSchema().description("in the field's list, from 0"))
        .addProperty(
            "said", FormatSchemas.inBook("sentence").description("with its facts, in SI units"))
        .addProperty("theirs", new Schema<>().description("what is stored now, on 412"))
        .required(List.of("title", "status", "detail"));
  }
}
