package marvek.formats;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;

/** A file that is being read, and where its text ends: what follows is blank. */
final class FileEnd extends FilterInputStream {
  private long read;
  private long lastText;

  FileEnd(InputStream in) {
    super(in);
  }

  @Override
  public int read() throws IOException {
    int one = in.read();
    if (one >= 0) {
      count(one);
    }
    return one;
  }

  @Override
  public int read(byte[] into, int from, int most) throws IOException {
    int got = in.read(into, from, most);
    for (int i = 0; i < got; i++) {
      count(into[from + i]);
    }
    return got;
  }

  /** Left to who opened it: a parser closes what it stumbles over, and the rest is still read. */
  @Override
  public void close() {
    // the caller's
  }

  private void count(int character) {
    if (character < 0 || character > ' ') {
      lastText = read;
    }
    read++;
  }

  /** Offset in bytes of the last character that is not blank; reads the rest of the file. */
  long lastTextAt() throws IOException {
    byte[] rest = new byte[8192];
    while (read(rest, 0, rest.length) >= 0) {
      // counted
    }
    return lastText;
  }
}
