package marvek.server.accounts;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import marvek.server.StartedServer;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Every operation, asked for by everybody: the driver, a coach, an instructor and a guest of one
 * book, another driver, and somebody who is not signed in. Expected is what {@code who-may.txt}
 * says.
 */
class WhoMayTest {
  private static ConfigurableApplicationContext context;
  private static SharedServer shared;
  private static SharedServer.Device owner;
  private static List<Operation> operations;

  /** An operation, and the letters of those who may do it. */
  private record Operation(String name, String method, String path, String who, boolean form) {
    /** Those that take something away come last. */
    int harm() {
      return switch (name) {
        case "removeForGood" -> 3;
        case "putThingAway", "putDemoAway", "endPerson", "endDevice" -> 2;
        default -> method.equals("DELETE") ? 1 : 0;
      };
    }
  }

  @BeforeAll
  static void share() throws Exception {
    context = StartedServer.beside("--marvek.sign-in=pairing", "--marvek.demo=false");
    shared = new SharedServer(context);
    owner = shared.owner();
    operations = operations();
  }

  @AfterAll
  static void close() {
    context.close();
  }

  private static Map<String, String> table() throws Exception {
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                WhoMayTest.class.getResourceAsStream("/marvek/who-may.txt"),
                StandardCharsets.UTF_8))) {
      return lines
          .lines()
          .filter(line -> !line.startsWith("#"))
          .map(line -> line.split("\\s+"))
          .collect(Collectors.toMap(words -> words[0], words -> words[1]));
    }
  }

  private static List<Operation> operations() throws Exception {
    Map<String, String> table = table();
    List<Operation> all = new ArrayList<>();
    context
        .getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
        .getHandlerMethods()
        .forEach(
            (mapping, handler) -> {
              String name = handler.getMethod().getName();
              if (table.containsKey(name)) {
                all.add(
                    new Operation(
                        name,
                        mapping.getMethodsCondition().getMethods().iterator().next().name(),
                        mapping.getPatternValues().iterator().next(),
                        table.get(name),
                        mapping.getConsumesCondition().toString().contains("multipart")));
              }
            });
    all.sort(Comparator.comparingInt(Operation::harm).thenComparing(Operation::name));
    return all;
  }

  @Test
  void everyOperationOfOursIsInTheTableOfRightsAndInThisOne() throws Exception {
    List<String> ours =
        context
            .getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
            .getHandlerMethods()
            .values()
            .stream()
            .filter(handler -> handler.getBeanType().getPackageName().startsWith("marvek."))
            .map(HandlerMethod::getMethod)
            .map(java.lang.reflect.Method::getName)
            .toList();
    Rights rights = shared.bean(Rights.class);
    assertThat(rights.operations()).containsExactlyInAnyOrderElementsOf(ours);
    assertThat(table().keySet())
        .containsExactlyInAnyOrderElementsOf(
            ours.stream().filter(name -> rights.of(name).whose() != Rights.Whose.NOBODY).toList());
  }

  @Test
  void everybodyMayWhatHisRoleMayAndNothingElse() {
    Things things = new Things();
    Map<Character, SharedServer.Device> people = new LinkedHashMap<>();
    people.put('G', shared.let(owner, "Guest", Role.GUEST, things.id("book").toString()));
    people.put('I', shared.let(owner, "Instructor", Role.INSTRUCTOR, things.id("book").toString()));
    people.put('C', shared.let(owner, "Coach", Role.COACH, null));
    people.put('D', owner);
    SharedServer.Device nobody = shared.nobody();
    SharedServer.Device stranger = shared.stranger();
    List<String> wrong = new ArrayList<>();
    for (Operation operation : operations) {
      String path = things.path(operation);
      String body =
          operation.form() ? "--x--\r\n" : operation.method().matches("POST|PUT") ? "{}" : null;
      int status = nobody.status(operation.method(), path, body);
      if (status != 401) {
        wrong.add("nobody " + operation + " " + status);
      }
      if (path.contains(things.someId(operation))) {
        status = stranger.status(operation.method(), path, body);
        if (status != 404) {
          wrong.add("stranger " + operation + " " + status);
        }
        // However an id is written, it is asked whose it is.
        String blank = path.replace(things.someId(operation), "%20" + things.someId(operation));
        status = stranger.status(operation.method(), blank, body);
        if (status != 404 && status != 400) {
          wrong.add("stranger, with a blank, " + operation + " " + status);
        }
      }
      people.forEach(
          (letter, device) -> {
            int answer = device.status(operation.method(), path, body);
            boolean may = operation.who().indexOf(letter) >= 0;
            boolean right = may ? answer != 401 && answer != 403 : answer == 403 || answer == 404;
            if (!right) {
              wrong.add(letter + " " + operation + " " + answer);
            }
          });
    }
    assertThat(operations).hasSizeGreaterThan(120);
    assertThat(wrong).isEmpty();
  }

  /** One of each kind, the driver's own. */
  private static final class Things {
    private final Map<String, UUID> ids = new LinkedHashMap<>();
    private final JdbcTemplate sql = context.getBean(JdbcTemplate.class);

    Things() {
      String demo =
          sql.queryForObject("select id::text from book order by created_at limit 1", String.class);
      UUID book =
          UUID.fromString(
              owner
                  .post("/api/books/" + demo + "/copy", "{\"name\":\"for everybody\"}")
                  .path("id")
                  .asString());
      ids.put("book", book);
      ids.put("circuit", of(owner.post("/api/circuits/" + ofBook("circuit_id") + "/copy", copy())));
      ids.put("car", of(owner.post("/api/cars/" + ofBook("car_id") + "/copy", copy())));
      // A guest sees the circuit and the car of his book.
      sql.update(
          "update book set circuit_id = ?, car_id = ? where id = ?",
          ids.get("circuit"),
          ids.get("car"),
          book);
      add("session", "session (id, book_id, document, created_at, changed_at)", "?, now(), now()");
      String of = "(id, session_id, document, created_at)";
      addOf("debrief-note", "debrief_note " + of, "'{}', now()");
      addOf("lead-remark", "group_remark " + of, "'{}', now()");
      addOf("file", "lap_file (id, session_id, name, digest, taken_at)", "'a', 'b', now()");
      learned("run", "run_through");
      learned("imagined-lap", "imagined_lap");
      UUID walk = UUID.randomUUID();
      sql.update(
          "insert into walk (id, driver_id, circuit_id, begun_at, finished_at)"
              + " values (?, ?, ?, now(), now())",
          walk,
          driver(),
          ids.get("circuit"));
      ids.put("walk", walk);
      UUID job = UUID.randomUUID();
      sql.update(
          "insert into job (id, owner_id, kind, asked, same, status, created_at, ended_at)"
              + " values (?, ?, 'test', '{}', ?, 'done', now(), now())",
          job,
          driver(),
          job.toString());
      ids.put("job", job);
      String coach = shared.letSee(owner, "Second coach", Role.COACH, null);
      shared.paired(shared.code(owner, coach), "tablet");
      ids.put(
          "device",
          sql.queryForObject(
              "select id from device where person_id = ?", UUID.class, UUID.fromString(coach)));
      ids.put("person", UUID.fromString(coach));
      UUID token = UUID.randomUUID();
      sql.update(
          "insert into token (id, person_id, name, digest, scope, made_at, expires_at)"
              + " values (?, ?, 'a', ?, 'READ', now(), now() + interval '1 day')",
          token,
          driver(),
          token.toString());
      ids.put("token", token);
    }

    private static String copy() {
      return "{\"name\":\"copy " + UUID.randomUUID() + "\"}";
    }

    private static UUID of(tools.jackson.databind.JsonNode made) {
      return UUID.fromString(made.path("id").asString());
    }

    private UUID driver() {
      return context.getBean(CurrentDriver.class).first();
    }

    private UUID ofBook(String column) {
      return sql.queryForObject(
          "select " + column + " from book where id = ?", UUID.class, ids.get("book"));
    }

    private void add(String kind, String into, String values) {
      UUID id = UUID.randomUUID();
      sql.update(
          "insert into " + into + " values (?, ?, " + values + ")", id, ids.get("book"), "{}");
      ids.put(kind, id);
    }

    private void addOf(String kind, String into, String values) {
      UUID id = UUID.randomUUID();
      sql.update("insert into " + into + " values (?, ?, " + values + ")", id, ids.get("session"));
      ids.put(kind, id);
    }

    private void learned(String kind, String table) {
      UUID id = UUID.randomUUID();
      sql.update(
          "insert into "
              + table
              + " (id, book_id, person_id, revision, document, created_at)"
              + " values (?, ?, ?, 1, '{}', now())",
          id,
          ids.get("book"),
          driver());
      ids.put(kind, id);
    }

    UUID id(String kind) {
      return ids.get(kind);
    }

    /** The first thing that an operation names; something no path holds if it names none. */
    String someId(Operation operation) {
      Map<String, String> things = shared.bean(Rights.class).of(operation.name()).things();
      return things.values().stream()
          .findFirst()
          .map(kind -> ids.get(kind.startsWith("{") ? "car" : kind).toString())
          .orElse("|");
    }

    /** An operation's path, its variables filled in. */
    String path(Operation operation) {
      String path = operation.path();
      for (var thing : shared.bean(Rights.class).of(operation.name()).things().entrySet()) {
        String kind = thing.getValue().startsWith("{") ? "car" : thing.getValue();
        path = path.replaceAll("\\{" + thing.getKey() + "(:[^}]*)?}", ids.get(kind).toString());
      }
      return path.replace("{person}", ids.get("person").toString())
          .replace("{kind}", "car")
          .replaceAll("\\{(number|corner|driver)(:[^}]*)?}", "1")
          .replaceAll("\\{[a-z]+}", UUID.randomUUID().toString());
    }
  }
}
