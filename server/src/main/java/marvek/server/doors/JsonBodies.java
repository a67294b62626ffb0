package marvek.server.doors;

import com.fasterxml.jackson.annotation.Nulls;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Year;
import java.time.ZoneOffset;
import java.time.temporal.TemporalAccessor;
import java.util.List;
import java.util.function.Consumer;
import marvek.core.PlainText;
import marvek.formats.JsonFiles;
import marvek.formats.JsonText;
import org.springframework.beans.factory.config.ConfigurableBeanFactory;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Scope;
import tools.jackson.core.JsonParser;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.deser.jackson.JsonNodeDeserializer;
import tools.jackson.databind.deser.jdk.NumberDeserializers;
import tools.jackson.databind.deser.jdk.StringDeserializer;
import tools.jackson.databind.ext.javatime.deser.InstantDeserializer;
import tools.jackson.databind.ext.javatime.deser.LocalDateDeserializer;
import tools.jackson.databind.ext.javatime.deser.LocalDateTimeDeserializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/**
 * Bodies of requests are read as strictly as files: a member once, none that is not known, no holes
 * in lists, no text that cannot be kept, no number without end, no day beyond those that calendars
 * are used for.
 */
@Configuration
class JsonBodies {
  private static final int FIRST_YEAR = 1900;
  private static final int LAST_YEAR = 2200;

  /** In the place of the framework's own, which reads without bounds; its settings stay. */
  @Bean
  @Scope(ConfigurableBeanFactory.SCOPE_PROTOTYPE)
  JsonMapper.Builder strict(List<JsonMapperBuilderCustomizer> customizers) {
    JsonMapper.Builder builder =
        JsonMapper.builder(JsonFactory.builder().streamReadConstraints(JsonFiles.BOUNDS).build());
    customizers.forEach(customizer -> customizer.customize(builder));
    return builder
        .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
        .enable(
            DeserializationFeature.FAIL_ON_TRAILING_TOKENS,
            DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
        .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
        // What is left out of a body is nothing, or 0; keys stand in the order of the records.
        .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
        .disable(MapperFeature.SORT_PROPERTIES_ALPHABETICALLY)
        .changeDefaultNullHandling(nulls -> nulls.withContentNulls(Nulls.FAIL))
        .addModule(bounds());
  }

  private static SimpleModule bounds() {
    SimpleModule module = new SimpleModule("marvek-bodies");
    add(module, String.class, StringDeserializer.instance, JsonBodies::text);
    add(
        module,
        JsonNode.class,
        (ValueDeserializer<JsonNode>)
            (ValueDeserializer<?>) JsonNodeDeserializer.getDeserializer(JsonNode.class),
        JsonText::check);
    add(
        module,
        Double.class,
        new NumberDeserializers.DoubleDeserializer(Double.class, null),
        JsonBodies::number);
    add(
        module,
        double.class,
        new NumberDeserializers.DoubleDeserializer(double.class, 0.0),
        JsonBodies::number);
    add(module, LocalDate.class, LocalDateDeserializer.INSTANCE, JsonBodies::day);
    add(module, LocalDateTime.class, LocalDateTimeDeserializer.INSTANCE, JsonBodies::day);
    add(module, Instant.class, InstantDeserializer.INSTANT, i -> day(i.atOffset(ZoneOffset.UTC)));
    return module;
  }

  private static <T> void add(
      SimpleModule module, Class<T> type, ValueDeserializer<T> reader, Consumer<T> check) {
    module.addDeserializer(
        type,
        new ValueDeserializer<T>() {
          @Override
          public T deserialize(JsonParser parser, DeserializationContext context) {
            T value = reader.deserialize(parser, context);
            try {
              if (value != null) {
                check.accept(value);
              }
            } catch (RuntimeException e) {
              throw DatabindException.from(parser, e.getMessage(), e);
            }
            return value;
          }

          @Override
          @SuppressWarnings("unchecked")
          public T getNullValue(DeserializationContext context) {
            return (T) reader.getNullValue(context);
          }
        });
  }

  private static void text(String text) {
    if (PlainText.firstOther(text) >= 0) {
      throw new IllegalArgumentException("the text holds a character that cannot be used");
    }
  }

  private static void number(Double number) {
    if (!Double.isFinite(number)) {
      throw new IllegalArgumentException("the number is larger than any that can be used");
    }
  }

  static void day(TemporalAccessor day) {
    int year = Year.from(day).getValue();
    if (year < FIRST_YEAR || year > LAST_YEAR) {
      throw new IllegalArgumentException("the year " + year + " is not one of these centuries");
    }
  }
}
