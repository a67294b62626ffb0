package marvek.server.doors;

import java.beans.PropertyEditorSupport;
import java.time.LocalDateTime;
import java.util.function.Function;
import marvek.core.InvalidValueException;
import marvek.core.PlainText;
import marvek.core.say.Sentence;
import org.springframework.web.bind.WebDataBinder;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.InitBinder;

/**
 * Values of queries and forms are bounded as those of bodies are. Editors and not converters: where
 * a converter refuses, Spring asks its own editor, which takes NaN.
 */
@ControllerAdvice
class QueryValues {
  @InitBinder
  void bound(WebDataBinder binder) {
    binder.registerCustomEditor(Double.class, reading(QueryValues::number));
    binder.registerCustomEditor(double.class, reading(QueryValues::number));
    binder.registerCustomEditor(String.class, reading(QueryValues::text));
    binder.registerCustomEditor(LocalDateTime.class, reading(QueryValues::hour));
  }

  private static PropertyEditorSupport reading(Function<String, Object> reader) {
    return new PropertyEditorSupport() {
      @Override
      public void setAsText(String text) {
        setValue(text == null ? null : reader.apply(text));
      }
    };
  }

  private static Double number(String text) {
    if (text.isBlank()) {
      return null;
    }
    double number;
    try {
      number = Double.parseDouble(text.strip());
    } catch (NumberFormatException e) {
      number = Double.NaN;
    }
    if (!Double.isFinite(number)) {
      throw new InvalidValueException(
          "query", Sentence.of("refused.no-usable-number", "given", text));
    }
    return number;
  }

  private static String text(String text) {
    if (PlainText.firstOther(text) >= 0) {
      throw new InvalidValueException("query", Sentence.of("refused.no-text-character"));
    }
    return text;
  }

  private static LocalDateTime hour(String text) {
    try {
      LocalDateTime hour = LocalDateTime.parse(text.strip());
      JsonBodies.day(hour);
      return hour;
    } catch (java.time.DateTimeException | IllegalArgumentException e) {
      throw new InvalidValueException(
          "query", Sentence.of("refused.no-day-and-hour", "given", text));
    }
  }
}
