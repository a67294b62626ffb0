package marvek.scripts;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is stored goes into one file and comes back, as a whole or not at all. */
class BackupTest {
  private static final Path HOME = Path.of("..").toAbsolutePath().normalize();

  @TempDir private Path folder;
  private Path first;
  private Path second;
  private Path file;

  private record Said(int status, String words) {}

  @BeforeEach
  void aDatabaseWithLaps() throws Exception {
    first = folder.resolve("first");
    second = folder.resolve("second");
    file = folder.resolve("all.backup");
    cluster("up", first);
    sql(first, "create table flyway_schema_history (version text, success boolean)");
    sql(first, "insert into flyway_schema_history values ('3', true), ('11', true)");
    sql(
        first,
        "create table laps as select n, md5(n::text) as words from generate_series(1, 900) n");
  }

  @AfterEach
  void down() throws Exception {
    cluster("down", first);
    cluster("down", second);
  }

  @Test
  void whatIsBackedUpComesBackIntoAnEmptyFolder() throws Exception {
    assertThat(marvek(first, "backup", file.toString()).status()).isZero();
    assertThat(marvek(second, "restore", file.toString()).status()).isZero();
    cluster("up", second);
    String all = "select count(*), md5(string_agg(words, ',' order by n)) from laps";
    assertThat(sql(second, all)).isEqualTo(sql(first, all));
    Said again = marvek(second, "restore", file.toString());
    assertThat(again.status()).isEqualTo(1);
    assertThat(again.words()).contains("Something is stored").contains("MARVEK_DATA");
  }

  @Test
  void aBackupThatIsCutOffIsRefusedAndNothingIsStored() throws Exception {
    marvek(first, "backup", file.toString());
    byte[] whole = Files.readAllBytes(file);
    Files.write(file, Arrays.copyOf(whole, whole.length * 2 / 3));
    Said cut = marvek(second, "restore", file.toString());
    assertThat(cut.status()).isEqualTo(1);
    assertThat(cut.words()).contains("cut off").contains("Nothing was stored");
    cluster("up", second);
    assertThat(sql(second, "select count(*) from pg_tables where schemaname = 'public'"))
        .isEqualTo("0");
  }

  @Test
  void nothingIsWrittenOverAndNothingStoredIsNoBackup() throws Exception {
    Files.writeString(file, "mine");
    assertThat(marvek(first, "backup", file.toString()).words()).contains("is there already");
    assertThat(file).hasContent("mine");
    assertThat(marvek(second, "backup", folder.resolve("b").toString()).words())
        .contains("Nothing is stored");
    assertThat(marvek(second, "restore", folder.resolve("none").toString()).words())
        .contains("There is no");
  }

  @Test
  void beforeANewerMarvekChangesWhatIsStoredItIsKept() throws Exception {
    assertThat(beforeMigration("db/migration/V11__laps.sql")).isEmpty();
    assertThat(first.resolve("backups")).doesNotExist();
    assertThat(beforeMigration("db/migration/V11__laps.sql db/migration/V12__more.sql"))
        .contains("version 12 after 11");
    try (var kept = Files.list(first.resolve("backups"))) {
      List<Path> backups = kept.toList();
      assertThat(backups).hasSize(1);
      assertThat(marvek(second, "restore", backups.get(0).toString()).status()).isZero();
    }
  }

  private String beforeMigration(String migrations) throws Exception {
    Path jar = Files.writeString(folder.resolve("server.jar"), migrations);
    String script =
        "set -e; home=%s data=%s jar=%s; . scripts/keep.sh; dump_before_migration"
            .formatted(HOME, first, jar);
    return said(new ProcessBuilder("bash", "-c", script)).words();
  }

  private static Said marvek(Path data, String... arguments) throws Exception {
    String[] command = new String[arguments.length + 1];
    command[0] = "./marvek";
    System.arraycopy(arguments, 0, command, 1, arguments.length);
    ProcessBuilder builder = new ProcessBuilder(command);
    builder.environment().put("MARVEK_DATA", data.toString());
    return said(builder);
  }

  private static void cluster(String what, Path data) throws Exception {
    Said said = said(new ProcessBuilder("scripts/cluster", what, data.toString()));
    assertThat(said.status()).as(said.words()).isZero();
  }

  private static String sql(Path data, String statement) throws Exception {
    String port = Files.readString(data.resolve("port")).strip();
    ProcessBuilder builder =
        new ProcessBuilder(
            "psql", "-qAt", "-h", "127.0.0.1", "-p", port, "-U", "marvek", "-d", "marvek");
    builder.command().addAll(List.of("-c", statement));
    builder.environment().put("PGPASSWORD", Files.readString(data.resolve("password")));
    Said said = said(builder);
    assertThat(said.status()).as(said.words()).isZero();
    return said.words();
  }

  private static Said said(ProcessBuilder builder) throws IOException, InterruptedException {
    Process process = builder.directory(HOME.toFile()).redirectErrorStream(true).start();
    String words = new String(process.getInputStream().readAllBytes()).strip();
    return new Said(process.waitFor(), words);
  }
}
