package marvek.scripts;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The private database survives what kills it. */
class ClusterTest {
  private static final Path CLUSTER = Path.of("cluster").toAbsolutePath();

  @TempDir private Path folder;

  @AfterEach
  void down() throws Exception {
    cluster("down");
  }

  /** A backend that computes does not notice that its server is gone, and may still write. */
  @Test
  void killedWhileSomebodyWritesItWaitsForTheWriterAndKeepsPortAndData() throws Exception {
    String up = cluster("up");
    sql(up, "create table laps (n int); insert into laps values (-17)");
    Process client = client(up, "insert into laps select generate_series(1, 3000000)").start();
    String busy = "select pid from pg_stat_activity where query like 'insert into laps%'";
    until(() -> !sql(up, busy).isEmpty());
    String writer = sql(up, busy);

    kill(Files.readAllLines(folder.resolve("data/postmaster.pid")).get(0));
    until(() -> !alive());
    assertThat(works(writer)).as("the writer works on").isTrue();
    assertThat(cluster("up")).as("port and password").isEqualTo(up);
    assertThat(works(writer)).as("the writer works still").isFalse();
    assertThat(sql(up, "select n from laps where n < 0")).isEqualTo("-17");
    client.destroyForcibly().waitFor();
  }

  /** A zombie has no program any more. */
  private static boolean works(String pid) {
    return Files.exists(Path.of("/proc", pid, "exe"));
  }

  private static void kill(String pid) throws Exception {
    assertThat(new ProcessBuilder("kill", "-9", pid).start().waitFor()).isZero();
  }

  @Test
  void startingTwiceIsTheSameOne() throws Exception {
    assertThat(cluster("up")).isEqualTo(cluster("up"));
    cluster("down");
    assertThat(alive()).isFalse();
  }

  private boolean alive() throws Exception {
    return new ProcessBuilder(CLUSTER.toString(), "alive", folder.toString()).start().waitFor()
        == 0;
  }

  private String cluster(String what) throws Exception {
    return said(
        new ProcessBuilder(CLUSTER.toString(), what, folder.toString())
            .redirectError(ProcessBuilder.Redirect.INHERIT));
  }

  private static String sql(String up, String statement) throws Exception {
    return said(client(up, statement));
  }

  private static ProcessBuilder client(String up, String statement) {
    String[] parts = up.split(" ");
    ProcessBuilder builder =
        new ProcessBuilder(
                "psql",
                "-qAt",
                "-h",
                "127.0.0.1",
                "-p",
                parts[0],
                "-U",
                "marvek",
                "-d",
                "marvek",
                "-c",
                statement)
            .redirectError(ProcessBuilder.Redirect.INHERIT);
    builder.environment().putAll(Map.of("PGPASSWORD", parts[1]));
    return builder;
  }

  private static String said(ProcessBuilder builder) throws Exception {
    Process process = builder.start();
    String said = new String(process.getInputStream().readAllBytes()).strip();
    assertThat(process.waitFor()).as(String.join(" ", builder.command())).isZero();
    return said;
  }

  private interface Check {
    boolean holds() throws Exception;
  }

  private static void until(Check check) throws Exception {
    for (int i = 0; i < 200 && !check.holds(); i++) {
      Thread.sleep(50);
    }
    assertThat(check.holds()).isTrue();
  }
}
