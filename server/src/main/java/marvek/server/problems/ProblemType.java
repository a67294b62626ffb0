package marvek.server.problems;

import java.net.URI;
import java.util.Locale;
import marvek.core.say.Catalogue;

/** What a problem is of; the catalogue has what each is called. */
public enum ProblemType {
  BAD_FILE,
  INVALID_VALUE,
  NOT_FOUND,
  NOT_ALLOWED,
  SIGNED_OUT,
  CODE,
  SIGN_IN,
  CONFLICT,
  STALE,
  EDITION_MISSING,
  BUSY,
  COMPUTING,
  READING,
  SENDING,
  DATABASE_AWAY,
  MEMORY_FULL,
  INTERNAL,
  TOO_LARGE,
  BODY_TOO_LARGE,
  TOO_SLOW,
  REQUEST,
  OTHER_HOST,
  OTHER_ORIGIN,
  MISSING_FILE,
  BAD_FORM,
  BAD_BODY;

  private String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Of RFC 9457: urn:marvek:problem:bad-file. */
  public URI uri() {
    return URI.create("urn:marvek:problem:" + word());
  }

  /** In English. */
  public String title() {
    return Catalogue.title(word());
  }
}
