package marvek.scripts;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A copy of Marvek's commands in a folder of its own, run with a PATH that holds what the test
 * says: the machine's own programs less some, and stand-ins for others.
 */
final class Machine {
  private static final Path PROJECT = Path.of("..").toAbsolutePath().normalize();

  /** What the commands call of a minimal Debian, and what its programs call in turn. */
  private static final List<String> PROGRAMS =
      List.of(
          ("awk basename bash cat chmod chown cp cut date df dirname du env find flock grep head id kill ln ls mkdir"
                  + " mktemp mount mv od readlink realpath rm sed seq setpriv sh sha256sum sleep sort stat su tail"
                  + " tar tee touch tr uname unshare xargs")
              .split(" "));

  private final Path home;
  private final Path programs;
  private final Map<String, String> settings = new TreeMap<>();
  private List<String> runAs = List.of();

  /** What a command left: its exit status and all it printed, errors among it. */
  record Outcome(int status, String said) {}

  private Machine(Path home, Path programs) {
    this.home = home;
    this.programs = programs;
  }

  /** With none of the tools that Marvek is built with. */
  static Machine bare(Path folder) throws IOException {
    Path home = folder.resolve("marvek");
    copy(PROJECT.resolve("marvek"), home.resolve("marvek"));
    try (Stream<Path> scripts = Files.walk(PROJECT.resolve("scripts"))) {
      for (Path script : scripts.filter(Machine::belongsToTheCommands).toList()) {
        copy(script, home.resolve(PROJECT.relativize(script)));
      }
    }
    for (String file :
        List.of("package.json", "package-lock.json", ".npmrc", "npm-install-when-stale")) {
      copy(PROJECT.resolve("web").resolve(file), home.resolve("web").resolve(file));
    }
    Machine machine = new Machine(home, Files.createDirectories(folder.resolve("bin")));
    machine.linkPrograms();
    return machine
        .set("PATH", machine.programs.toString())
        .set("HOME", Files.createDirectories(folder.resolve("home")).toString())
        .set("JAVA_HOME", System.getProperty("java.home"))
        .set("TMPDIR", Files.createDirectories(folder.resolve("tmp")).toString());
  }

  private static boolean belongsToTheCommands(Path file) {
    String name = PROJECT.resolve("scripts").relativize(file).toString();
    return Files.isRegularFile(file) && !name.startsWith("src") && !name.startsWith("target");
  }

  private static void copy(Path from, Path to) throws IOException {
    Files.createDirectories(to.getParent());
    Files.copy(from, to, StandardCopyOption.COPY_ATTRIBUTES, StandardCopyOption.REPLACE_EXISTING);
  }

  private void linkPrograms() throws IOException {
    for (String name : PROGRAMS) {
      for (String folder : List.of("/usr/bin", "/bin", "/usr/sbin", "/sbin")) {
        Path program = Path.of(folder, name);
        if (Files.exists(program) && !Files.exists(programs.resolve(name))) {
          with(name, "exec -a " + name + " " + program + " \"$@\"");
        }
      }
    }
    Files.deleteIfExists(programs.resolve("bash"));
    Files.copy(Path.of("/bin/bash"), programs.resolve("bash"));
  }

  /** The version of a package of the toolchain. */
  static String pinned(String name) throws IOException {
    String file = Files.readString(PROJECT.resolve("scripts/toolchain/package.json"));
    Matcher version = Pattern.compile("\"" + name + "\": \"([^\"]+)\"").matcher(file);
    if (!version.find()) {
      throw new IllegalStateException(name + " is not pinned");
    }
    return version.group(1);
  }

  Path home() {
    return home;
  }

  Machine set(String name, String value) {
    settings.put(name, value);
    return this;
  }

  /** Without root's rights, where the test itself has them; the folder is opened to that user. */
  Machine asOrdinaryUser() throws IOException {
    if ("root".equals(System.getProperty("user.name"))) {
      runAs = List.of("setpriv", "--reuid=65534", "--regid=65534", "--clear-groups");
      try (Stream<Path> all = Files.walk(home.getParent())) {
        for (Path folder : all.filter(Files::isDirectory).toList()) {
          Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxrwxrwx"));
        }
      }
    }
    return this;
  }

  /** Puts a shell script in the place of a program. */
  Machine with(String program, String script) throws IOException {
    Path file = programs.resolve(program);
    Files.deleteIfExists(file);
    Files.writeString(file, "#!/bin/bash\n" + script + "\n");
    file.toFile().setExecutable(true, false);
    return this;
  }

  /** The machine's own npm and Node.js, telling another version than theirs. */
  Machine withNode(String version, String npmVersion) throws IOException {
    String real = System.getenv("PATH");
    String others = "PATH='" + real + "' exec";
    with(
        "node",
        "[ \"$*\" = --version ] && echo v" + version + " && exit; " + others + " node \"$@\"");
    return with(
        "npm",
        "[ \"$*\" = --version ] && echo " + npmVersion + " && exit; " + others + " npm \"$@\"");
  }

  Outcome run(String... command) throws IOException, InterruptedException {
    List<String> whole = new ArrayList<>(runAs);
    whole.addAll(List.of(command));
    ProcessBuilder builder = new ProcessBuilder(whole).directory(home.toFile());
    builder.environment().clear();
    builder.environment().putAll(settings);
    Process process = builder.redirectErrorStream(true).start();
    process.getOutputStream().close();
    String said = new String(process.getInputStream().readAllBytes());
    if (!process.waitFor(1, TimeUnit.MINUTES)) {
      process.destroyForcibly();
      throw new IllegalStateException("does not end: " + String.join(" ", command));
    }
    return new Outcome(process.exitValue(), said);
  }
}
