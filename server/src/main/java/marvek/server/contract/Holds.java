package marvek.server.contract;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** A tree of JSON that is a type's by its components, read by a reader that tells where it errs. */
@Target({ElementType.FIELD, ElementType.METHOD, ElementType.PARAMETER})
@Retention(RetentionPolicy.RUNTIME)
public @interface Holds {
  /** The type. */
  Class<?> value();

  /** Whether it is a list of them. */
  boolean list() default false;
}
