package marvek.server.contract;

import com.fasterxml.jackson.annotation.JsonAutoDetect;
import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.github.therapi.runtimejavadoc.ClassJavadoc;
import com.github.therapi.runtimejavadoc.CommentFormatter;
import com.github.therapi.runtimejavadoc.ParamJavadoc;
import com.github.therapi.runtimejavadoc.RuntimeJavadoc;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.jackson.ModelResolver;
import io.swagger.v3.core.jackson.TypeNameResolver;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.lang.annotation.Annotation;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import marvek.core.say.Sentence;
import marvek.formats.Spelled;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ProblemDetail;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Schemas of the types that bodies and answers are made of. A record's component is required,
 * unless it is boxed or says that it may be missing; a type is called by the type it stands in too,
 * so that no two are one.
 */
final class TypeSchemas extends ModelResolver {
  TypeSchemas(ObjectMapper mapper) {
    super(mapper.addMixIn(JsonNode.class, Opaque.class), new Names());
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

  @Override
  public Schema<?> resolve(
      AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> next) {
    Optional<InFormat> inFormat = annotation(type, InFormat.class);
    if (inFormat.isPresent()) {
      return FormatSchemas.of(inFormat.get());
    }
    Optional<OneOf> oneOf = annotation(type, OneOf.class);
    if (oneOf.isPresent()) {
      return texts(oneOf.get());
    }
    Optional<Holds> holds = annotation(type, Holds.class);
    if (holds.isPresent()) {
      Schema<?> one = context.resolve(new AnnotatedType(holds.get().value()).resolveAsRef(true));
      return holds.get().list() ? new ArraySchema().items(one) : one;
    }
    Class<?> raw = _mapper.constructType(type.getType()).getRawClass();
    if (raw == Sentence.class) {
      return FormatSchemas.inBook("sentence");
    }
    if (raw == ProblemDetail.class) {
      return new Schema<>().$ref(Contract.PROBLEM);
    }
    if (JsonNode.class.isAssignableFrom(raw)) {
      return raw == ObjectNode.class
          ? new ObjectSchema()
          : raw == ArrayNode.class ? new ArraySchema().items(new Schema<>()) : new Schema<>();
    }
    Schema<?> schema = super.resolve(type, context, next);
    if (raw.isRecord()) {
      Schema<?> definition = definition(schema, context);
      complete(definition, raw);
      describe(definition, raw);
    }
    return schema;
  }

  private static <A extends Annotation> Optional<A> annotation(AnnotatedType type, Class<A> kind) {
    Annotation[] of = type.getCtxAnnotations();
    return of == null
        ? Optional.empty()
        : Arrays.stream(of).filter(kind::isInstance).map(kind::cast).findFirst();
  }

  private static Schema<?> texts(OneOf oneOf) {
    StringSchema schema = new StringSchema();
    for (Enum<?> constant : oneOf.value().getEnumConstants()) {
      schema.addEnumItem(Spelled.of(constant));
    }
    return schema;
  }

  private static Schema<?> definition(Schema<?> schema, ModelConverterContext context) {
    if (schema == null || schema.get$ref() == null) {
      return schema;
    }
    String ref = schema.get$ref();
    return context.getDefinedModels().get(ref.substring(ref.lastIndexOf('/') + 1));
  }

  /** Members are the components alone, each required unless it may be missing. */
  private static void complete(Schema<?> schema, Class<?> type) {
    if (schema == null || schema.getProperties() == null) {
      return;
    }
    Map<String, Schema<?>> members = new LinkedHashMap<>();
    List<String> required = new ArrayList<>();
    for (RecordComponent component : type.getRecordComponents()) {
      Schema<?> member = schema.getProperties().get(component.getName());
      if (member == null) {
        continue;
      }
      if (component.getType() == Double[].class) {
        orNull(member.getItems());
      }
      if (mayBeMissing(component)) {
        members.put(component.getName(), orNull(member));
      } else {
        members.put(component.getName(), member);
        required.add(component.getName());
      }
    }
    schema.getProperties().keySet().retainAll(members.keySet());
    members.forEach(schema.getProperties()::put);
    schema.setRequired(required);
  }

  /** In the words of the record's own Javadoc. */
  private static void describe(Schema<?> schema, Class<?> type) {
    if (schema == null || schema.getProperties() == null) {
      return;
    }
    ClassJavadoc words = RuntimeJavadoc.getJavadoc(type);
    String whole = WORDS.format(words.getComment());
    if (!whole.isEmpty()) {
      schema.setDescription(whole);
    }
    for (ParamJavadoc component : words.getRecordComponents()) {
      Schema<?> member = schema.getProperties().get(component.getName());
      if (member != null) {
        member.setDescription(WORDS.format(component.getComment()));
      }
    }
  }

  private static final CommentFormatter WORDS = new CommentFormatter();

  private static boolean mayBeMissing(RecordComponent component) {
    return BOXED.contains(component.getType())
            && !component.getAccessor().isAnnotationPresent(NOT_NULL)
        || component.getAnnotatedType().isAnnotationPresent(Nullable.class);
  }

  private static final Class<? extends Annotation> NOT_NULL =
      jakarta.validation.constraints.NotNull.class;

  private static final Set<Class<?>> BOXED =
      Set.of(Double.class, Integer.class, Long.class, Boolean.class);

  private static Schema<?> orNull(Schema<?> schema) {
    if (schema.get$ref() != null) {
      Schema<?> nothing = new Schema<>();
      nothing.addType("null");
      return new Schema<>().anyOf(List.of(schema, nothing));
    }
    schema.addType("null");
    if (schema.getEnum() != null) {
      addNull(schema);
    }
    return schema;
  }

  @SuppressWarnings("unchecked")
  private static void addNull(Schema<?> schema) {
    if (!schema.getEnum().contains(null)) {
      ((List<Object>) schema.getEnum()).add(null);
    }
  }
}
