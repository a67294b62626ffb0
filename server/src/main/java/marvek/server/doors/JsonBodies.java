package marvek.server.doors;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonDeserializer;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.deser.std.JsonNodeDeserializer;
import com.fasterxml.jackson.databind.deser.std.NumberDeserializers;
import com.fasterxml.jackson.databind.deser.std.StringDeserializer;
import com.fasterxml.jackson.databind.module.SimpleModule;
import java.io.IOException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Year;
import java.time.ZoneOffset;
import java.time.temporal.TemporalAccessor;
import java.util.function.Consumer;
import marvek.core.PlainText;
import marvek.formats.JsonFiles;
import marvek.formats.JsonText;
import org.springframework.boot.autoconfigure.jackson.Jackson2ObjectMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Bodies of requests are read as strictly as files: a member once, none that is not known, no holes
 * in lists, no text that cannot be kept, no number without end, no day beyond those that calendars
 * are used for.
 */
@Configuration
class JsonBodies {
  private static final int FIRST_YEAR = 1900;
  private static final int LAST_YEAR = 2200;

  @Bean
  Jackson2ObjectMapperBuilderCustomizer strict() {
    return builder -> builder.postConfigurer(JsonBodies::strict);
  }

  private static void strict(ObjectMapper mapper) {
    mapper.getFactory().setStreamReadConstraints(JsonFiles.BOUNDS);
    mapper
        .getFactory()
        .configure(StreamReadFeature.STRICT_DUPLICATE_DETECTION.mappedFeature(), true);
    mapper.enable(
        DeserializationFeature.FAIL_ON_TRAILING_TOKENS,
        DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES,
        DeserializationFeature.FAIL_ON_NUMBERS_FOR_ENUMS);
    mapper.setDefaultSetterInfo(JsonSetter.Value.forContentNulls(Nulls.FAIL));
    SimpleModule module = new SimpleModule("marvek-bodies");
    add(module, String.class, StringDeserializer.instance, JsonBodies::text);
    add(
        module,
        JsonNode.class,
        JsonNodeDeserializer.getDeserializer(JsonNode.class),
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
    add(
        module,
        LocalDate.class,
        com.fasterxml.jackson.datatype.jsr310.deser.LocalDateDeserializer.INSTANCE,
        JsonBodies::day);
    add(
        module,
        LocalDateTime.class,
        com.fasterxml.jackson.datatype.jsr310.deser.LocalDateTimeDeserializer.INSTANCE,
        JsonBodies::day);
    add(
        module,
        Instant.class,
        com.fasterxml.jackson.datatype.jsr310.deser.InstantDeserializer.INSTANT,
        i -> day(i.atOffset(ZoneOffset.UTC)));
    mapper.registerModule(module);
  }

  private static <T> void add(
      SimpleModule module, Class<T> type, JsonDeserializer<? extends T> reader, Consumer<T> check) {
    module.addDeserializer(
        type,
        new JsonDeserializer<T>() {
          @Override
          public T deserialize(JsonParser parser, DeserializationContext context)
              throws IOException {
            T value = reader.deserialize(parser, context);
            try {
              if (value != null) {
                check.accept(value);
              }
            } catch (RuntimeException e) {
              throw JsonMappingException.from(parser, e.getMessage(), e);
            }
            return value;
          }

          @Override
          public T getNullValue(DeserializationContext context) throws JsonMappingException {
            return reader.getNullValue(context);
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
