package marvek.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.springframework.util.FileSystemUtils;

/** A real PostgreSQL of its own for the tests of a module, thrown away at the end of its run. */
public final class TestDatabase {
  private static TestDatabase running;

  private final Path folder;
  private final String port;
  private final String password;

  private TestDatabase(Path folder, String port, String password) {
    this.folder = folder;
    this.port = port;
    this.password = password;
  }

  String url() {
    return "jdbc:postgresql://127.0.0.1:" + port + "/marvek";
  }

  String password() {
    return password;
  }

  /** The one that runs, started where none does. */
  static synchronized TestDatabase started() {
    if (running == null) {
      try {
        Path folder = Files.createTempDirectory("marvek-test");
        String[] answer = cluster("up", folder).strip().split(" ");
        TestDatabase database = new TestDatabase(folder, answer[0], answer[1]);
        Runtime.getRuntime().addShutdownHook(new Thread(database::throwAway));
        running = database;
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    return running;
  }

  /** One of its own, with what a dump holds; to be brought down. */
  static TestDatabase restoredFrom(Path dump, Path folder) throws IOException {
    String[] answer = cluster("up", folder).strip().split(" ");
    TestDatabase database = new TestDatabase(folder, answer[0], answer[1]);
    database.restore(dump);
    return database;
  }

  /** Takes what a dump holds; nothing may be in it yet. */
  void restore(Path dump) throws IOException {
    cluster("restore", folder, dump.toString());
  }

  /** Writes all that is in it to a file. */
  void dump(Path file) throws IOException {
    cluster("dump", folder, file.toString());
  }

  void down() throws IOException {
    cluster("down", folder);
  }

  private void throwAway() {
    try {
      down();
      FileSystemUtils.deleteRecursively(folder);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String cluster(String what, Path folder, String... more) throws IOException {
    List<String> command = new ArrayList<>(List.of(script().toString(), what, folder.toString()));
    command.addAll(List.of(more));
    Process process =
        new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.INHERIT).start();
    String answer = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    try {
      if (process.waitFor() != 0) {
        throw new IOException("scripts/cluster " + what + " failed: " + answer);
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    return answer;
  }

  /** The script lies in the project's root, one folder above each module. */
  private static Path script() {
    return Path.of("..", "scripts", "cluster").toAbsolutePath().normalize();
  }
}
