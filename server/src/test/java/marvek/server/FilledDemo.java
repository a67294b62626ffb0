package marvek.server;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * The demo as the first server of a run of Maven filled it: it takes a minute of a processor, and
 * servers of the same run that come later, in other processes, take it from there. Of no other run:
 * the code may be another by then.
 */
final class FilledDemo {
  private static final String OF_ALL = "demo-";

  private static final StandardOpenOption[] WAYS = {
    StandardOpenOption.CREATE, StandardOpenOption.WRITE
  };

  private FilledDemo() {}

  /**
   * A server with the demo in it: the first one fills it, the others wait for that.
   *
   * @param database in which nothing is
   * @param start starts a server on it, which fills it where it is empty
   */
  static ConfigurableApplicationContext with(
      TestDatabase database, Supplier<ConfigurableApplicationContext> start) throws IOException {
    String run = System.getProperty("marvek.run");
    if (run == null) {
      return start.get(); // outside of Maven, where no run is told
    }
    Files.createDirectories(folder());
    Path filled = folder().resolve(OF_ALL + run + ".dump");
    try (FileChannel channel = FileChannel.open(lock(), WAYS)) {
      channel.lock(); // let go of with the channel
      if (Files.notExists(filled)) {
        removeOlder();
        ConfigurableApplicationContext first = start.get();
        database.dump(filled);
        return first;
      }
    }
    database.restore(filled);
    return start.get();
  }

  private static Path lock() {
    return folder().resolve("filling-the-demo");
  }

  /** The folder of the server's built things, seen from any module. */
  private static Path folder() {
    return Path.of("..", "server", "target").toAbsolutePath().normalize();
  }

  private static void removeOlder() throws IOException {
    try (Stream<Path> all = Files.list(folder())) {
      List<Path> older =
          all.filter(path -> path.getFileName().toString().startsWith(OF_ALL)).toList();
      for (Path path : older) {
        Files.delete(path);
      }
    }
  }
}
