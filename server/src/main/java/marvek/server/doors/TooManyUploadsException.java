package marvek.server.doors;

import java.io.IOException;

/** As many bodies as may be waited for at once are being waited for. */
final class TooManyUploadsException extends IOException {
  private static final long serialVersionUID = 1L;
}
