package marvek.server.contract;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * A tree of JSON, or a text, that the book's published schema describes: there is no second
 * description of what a file holds.
 */
@Target({ElementType.FIELD, ElementType.METHOD, ElementType.PARAMETER})
@Retention(RetentionPolicy.RUNTIME)
public @interface InFormat {
  /** Its name among the schema's definitions. */
  String value();

  /** Whether it is a list of them. */
  boolean list() default false;
}
