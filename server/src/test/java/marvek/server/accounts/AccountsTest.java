package marvek.server.accounts;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.UUID;
import marvek.server.StartedServer;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** A club's server: drivers with names and passwords, each with his own things. */
class AccountsTest {
  private static final String GOOD = "kerb lantern otter seventeen";
  private static ConfigurableApplicationContext context;
  private static SharedServer server;
  private static SharedServer.Device keeper;
  private JdbcTemplate sql;

  @BeforeAll
  static void share() {
    context = StartedServer.beside("--marvek.sign-in=accounts", "--marvek.demo=false");
    server = new SharedServer(context);
    keeper = server.owner();
  }

  @AfterAll
  static void close() {
    context.close();
  }

  @BeforeEach
  void noneWasWrong() {
    sql = context.getBean(JdbcTemplate.class);
    sql.update("delete from wrong_pairing");
    sql.update("delete from wrong_sign_in");
  }

  private static String signInBody(String name, String password) {
    return "{\"name\":\"%s\",\"password\":\"%s\",\"device\":\"laptop\"}".formatted(name, password);
  }

  private static HttpResponse<String> signIn(String name, String password) {
    return server.nobody().ask("POST", "/api/sign-in", signInBody(name, password));
  }

  private static SharedServer.Device signedIn(String name, String password) {
    return server.withCookieOf(signIn(name, password));
  }

  private static HttpResponse<String> own(
      SharedServer.Device device, String name, String password, String before) {
    return device.ask(
        "PUT",
        "/api/me/account",
        "{\"signIn\":\"%s\",\"password\":\"%s\"%s}"
            .formatted(name, password, before == null ? "" : ",\"before\":\"" + before + "\""));
  }

  /**
   * Another driver of the club, let in by who keeps the server; he has given himself a password.
   */
  private static SharedServer.Device driver(String name) {
    SharedServer.Device device = server.let(keeper, name, Role.DRIVER, null);
    HttpResponse<String> answer = own(device, name, GOOD, null);
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(204);
    // The session changes its name with the password.
    return server.withCookieOf(answer);
  }

  private static String idOf(String name) {
    return context
        .getBean(JdbcTemplate.class)
        .queryForObject("select id::text from driver where name = ?", String.class, name);
  }

  @Test
  void aDriverWhoWasLetInSignsInByHisPasswordAndSeesHisOwnShelf() {
    driver("Orla");
    SharedServer.Device later = signedIn(" orla ", GOOD);
    JsonNode me = later.get("/api/me");
    assertThat(me.path("name").asString()).isEqualTo("Orla");
    assertThat(me.path("role").asString()).isEqualTo("DRIVER");
    assertThat(me.path("keeper").asBoolean()).isFalse();
    assertThat(later.get("/api/books").size()).isZero();
    assertThat(keeper.get("/api/books").size()).isPositive();
    String book = keeper.get("/api/books").get(0).path("id").asString();
    assertThat(later.status("GET", "/api/books/" + book + "/view", null)).isEqualTo(404);
  }

  @Test
  void whoKeepsTheServerSeesThatADriverIsThereButNothingOfHis() {
    SharedServer.Device driver = driver("Piet");
    JsonNode seen = named(keeper.get("/api/people"), "Piet");
    assertThat(seen.path("role").asString()).isEqualTo("DRIVER");
    assertThat(seen.path("self").asBoolean()).isFalse();
    assertThat(seen.path("devices").size()).isZero();
    String device = driver.get("/api/me").path("device").asString();
    assertThat(keeper.status("DELETE", "/api/devices/" + device, null)).isEqualTo(404);
    assertThat(driver.status("DELETE", "/api/devices/" + device, null)).isEqualTo(204);
  }

  @Test
  void nobodyButWhoKeepsTheServerLetsDriversIn() {
    SharedServer.Device driver = driver("Quill");
    assertThat(driver.status("POST", "/api/people", "{\"name\":\"Friend\",\"role\":\"DRIVER\"}"))
        .isEqualTo(422);
    assertThat(driver.status("POST", "/api/people", "{\"name\":\"F\",\"role\":\"COACH\"}"))
        .isEqualTo(201);
  }

  @Test
  void aWrongPasswordAndAWrongNameAreToldInTheSameWords() {
    driver("Rosa");
    HttpResponse<String> wrong = signIn("Rosa", "kerb lantern otter eighteen");
    HttpResponse<String> nobody = signIn("Nobody of that name", GOOD);
    assertThat(wrong.statusCode()).isEqualTo(403);
    assertThat(nobody.statusCode()).isEqualTo(403);
    assertThat(wrong.body()).isEqualTo(nobody.body()).contains("Not signed in");
    assertThat(wrong.headers().firstValue("Set-Cookie")).isEmpty();
  }

  @Test
  void guessingIsSlowedForThatNameAloneAndWhoIsInStaysIn() {
    SharedServer.Device inside = driver("Sven");
    driver("Tove");
    for (int guess = 0; guess < 10; guess++) {
      assertThat(signIn("SVEN", "wrong one " + guess).statusCode()).isEqualTo(403);
    }
    assertThat(signIn("Sven", GOOD).statusCode()).isEqualTo(429);
    assertThat(signIn("Tove", GOOD).statusCode()).isEqualTo(204);
    assertThat(inside.status("GET", "/api/books", null)).isEqualTo(200);
    sql.update("update wrong_sign_in set at = at - interval '11 minutes'");
    assertThat(signIn("Sven", GOOD).statusCode()).isEqualTo(204);
  }

  @Test
  void aPasswordIsLongAndNotGuessedFirst() {
    SharedServer.Device driver = server.let(keeper, "Ulf", Role.DRIVER, null);
    assertThat(own(driver, "Ulf", "short one", null).body()).contains("between 12 and 128");
    assertThat(own(driver, "Ulf", "x".repeat(129), null).statusCode()).isEqualTo(422);
    for (String easy : new String[] {"passwordpassword", "qwertyuiop1234", "ulfulfulfulf"}) {
      assertThat(own(driver, "Ulf", easy, null).body()).as(easy).contains("guessed first");
    }
    HttpResponse<String> taken = own(driver, "Rosa Maria", GOOD, null);
    assertThat(taken.statusCode()).isEqualTo(204);
    assertThat(server.withCookieOf(taken).get("/api/me").path("name").asString())
        .isEqualTo("Rosa Maria");
  }

  @Test
  void aPasswordIsKeptAsArgon2idWithASaltOfItsOwn() {
    driver("Vera");
    driver("Wim");
    assertThat(
            sql.queryForList(
                "select password from driver where sign_in in ('Vera', 'Wim')", String.class))
        .hasSize(2)
        .doesNotHaveDuplicates()
        .allMatch(kept -> kept.startsWith("$argon2id$v=19$m=16384,t=2,p=1$"));
  }

  @Test
  void anotherPasswordNeedsTheOneBeforeAndSignsTheOtherDevicesOut() {
    SharedServer.Device first = driver("Xenia");
    SharedServer.Device second = signedIn("Xenia", GOOD);
    String next = GOOD + " more";
    assertThat(own(first, "Xenia", next, null).statusCode()).isEqualTo(403);
    assertThat(own(first, "Xenia", next, "wrong").statusCode()).isEqualTo(403);
    HttpResponse<String> changed = own(first, "Xenia", next, GOOD);
    assertThat(changed.statusCode()).isEqualTo(204);
    assertThat(second.status("GET", "/api/books", null)).isEqualTo(401);
    assertThat(first.status("GET", "/api/books", null))
        .as("its session has a new id")
        .isEqualTo(401);
    assertThat(server.withCookieOf(changed).status("GET", "/api/books", null)).isEqualTo(200);
    assertThat(signIn("Xenia", GOOD).statusCode()).isEqualTo(403);
    assertThat(signIn("Xenia", next).statusCode()).isEqualTo(204);
  }

  @Test
  void aNameIsOnePersons() {
    driver("Yara");
    SharedServer.Device other = server.let(keeper, "Other Yara", Role.DRIVER, null);
    assertThat(own(other, "yARA", GOOD, null).body()).contains("somebody's already");
  }

  @Test
  void aLockedOutDriverComesInNoMoreUntilHeGetsACodeAndHisThingsAreThereThen() {
    SharedServer.Device driver = driver("Zoe");
    String token = token(driver, "READ");
    String id = idOf("Zoe");
    assertThat(keeper.status("DELETE", "/api/people/" + id, null)).isEqualTo(204);
    assertThat(driver.status("GET", "/api/books", null)).isEqualTo(401);
    assertThat(signIn("Zoe", GOOD).statusCode()).isEqualTo(403);
    assertThat(server.withToken(token).status("GET", "/api/books", null)).isEqualTo(401);
    SharedServer.Device again = server.paired(server.code(keeper, id), "again");
    assertThat(again.get("/api/me").path("name").asString()).isEqualTo("Zoe");
  }

  @Test
  void whatIsSharedWithADriverComesToHimByACodeAndHeChoosesWhatHeSees() {
    SharedServer.Device coach = driver("Adam");
    String sharedWith = server.letSee(keeper, "Adam as my coach", Role.COACH, null);
    String code = server.code(keeper, sharedWith);
    assertThat(coach.status("POST", "/api/me/shares", "{\"code\":\"%s\"}".formatted(code)))
        .isEqualTo(204);
    assertThat(server.pair(code, "used up").statusCode()).isEqualTo(403);
    JsonNode me = coach.get("/api/me");
    assertThat(me.path("shelves").size()).isEqualTo(2);
    String own = me.path("shelves").get(0).path("owner").asString();
    String keepers = me.path("shelves").get(1).path("owner").asString();
    choose(coach, keepers);
    assertThat(coach.get("/api/me").path("role").asString()).isEqualTo("COACH");
    JsonNode books = coach.get("/api/books");
    assertThat(books.size()).isPositive();
    String book = books.get(0).path("id").asString();
    assertThat(coach.status("POST", "/api/books/" + book + "/copy", "{\"name\":\"mine\"}"))
        .isEqualTo(403);
    choose(coach, own);
    assertThat(coach.get("/api/me").path("role").asString()).isEqualTo("DRIVER");
    assertThat(coach.get("/api/books").size()).isZero();
    // Who shared it ends the sharing, and not the person.
    assertThat(keeper.status("DELETE", "/api/people/" + idOf("Adam"), null)).isEqualTo(204);
    assertThat(coach.status("GET", "/api/books/" + book + "/view", null)).isEqualTo(404);
    assertThat(coach.get("/api/me").path("shelves").size()).isEqualTo(1);
    assertThat(signIn("Adam", GOOD).statusCode()).isEqualTo(204);
  }

  private static void choose(SharedServer.Device device, String owner) {
    assertThat(device.status("PUT", "/api/me/shelf", "{\"owner\":\"%s\"}".formatted(owner)))
        .isEqualTo(204);
  }

  @Test
  void nobodyChoosesAShelfThatIsNotSharedWithHim() {
    SharedServer.Device driver = driver("Bea");
    String keepers = keeper.get("/api/me").path("shelf").asString();
    assertThat(driver.status("PUT", "/api/me/shelf", "{\"owner\":\"%s\"}".formatted(keepers)))
        .isEqualTo(404);
    // Nor does the choice outlive the sharing.
    sql.update(
        "insert into share (id, owner_id, person_id, role, made_at)"
            + " values (?, ?, ?, 'COACH', now())",
        UUID.randomUUID(),
        UUID.fromString(keepers),
        UUID.fromString(idOf("Bea")));
    choose(driver, keepers);
    assertThat(driver.get("/api/books").size()).isPositive();
    sql.update("update share set ended_at = now() where person_id = ?::uuid", idOf("Bea"));
    assertThat(driver.get("/api/books").size()).isZero();
  }

  @Test
  void aDriverMakesNoCodeForSomebodyWhoComesInByHimself() {
    // He would be in the other's name with it, and see what a third shares with him.
    SharedServer.Device first = driver("Carl");
    SharedServer.Device coach = driver("Dora");
    String code = server.code(first, server.letSee(first, "my coach", Role.COACH, null));
    coach.status("POST", "/api/me/shares", "{\"code\":\"%s\"}".formatted(code));
    assertThat(named(first.get("/api/people"), "Dora").path("letIn").asBoolean(true)).isFalse();
    assertThat(first.status("POST", "/api/people/" + idOf("Dora") + "/code", "")).isEqualTo(404);
    // Also not for one whom he let in as his coach, and who took a password since.
    String own = server.letSee(first, "Emil", Role.COACH, null);
    SharedServer.Device tablet = server.paired(server.code(first, own), "tablet");
    assertThat(own(tablet, "Emil", GOOD, null).statusCode()).isEqualTo(204);
    assertThat(first.status("POST", "/api/people/" + own + "/code", "")).isEqualTo(404);
    assertThat(signedIn("Emil", GOOD).get("/api/me").path("role").asString()).isEqualTo("COACH");
  }

  @Test
  void aCodeOfAPersonIsNotTakenForAShare() {
    SharedServer.Device driver = driver("Fay");
    String code = server.code(keeper, keeper.get("/api/me").path("shelf").asString());
    assertThat(driver.status("POST", "/api/me/shares", "{\"code\":\"%s\"}".formatted(code)))
        .isEqualTo(409);
    assertThat(server.pair(code, "not used up by it").statusCode()).isEqualTo(204);
    assertThat(driver.status("POST", "/api/me/shares", "{\"code\":\"AAAA-AAAA\"}")).isEqualTo(403);
  }

  @Test
  void aKeyOfAScriptMayWhatItIsForUntilItsDay() {
    SharedServer.Device driver = driver("Gus");
    SharedServer.Device reads = server.withToken(token(driver, "READ"));
    SharedServer.Device edits = server.withToken(token(driver, "EDIT"));
    assertThat(reads.status("GET", "/api/books", null)).isEqualTo(200);
    assertThat(reads.status("POST", "/api/books", "{}")).isEqualTo(403);
    assertThat(edits.status("POST", "/api/books", "{}")).isNotIn(401, 403);
    for (SharedServer.Device key : new SharedServer.Device[] {reads, edits}) {
      assertThat(key.status("GET", "/api/people", null)).isEqualTo(403);
      assertThat(key.status("GET", "/api/me/tokens", null)).isEqualTo(403);
      assertThat(own(key, "Gus", GOOD + " x", GOOD).statusCode()).isEqualTo(403);
    }
    sql.update("update token set expires_at = now() where person_id = ?::uuid", idOf("Gus"));
    assertThat(reads.status("GET", "/api/books", null)).isEqualTo(401);
  }

  @Test
  void aKeyIsToldOnceKeptAsItsDigestAndEndedByItsOwner() {
    SharedServer.Device driver = driver("Hal");
    String secret = token(driver, "READ");
    assertThat(secret).matches("marvek_[A-Za-z0-9_-]{43}");
    assertThat(driver.ask("GET", "/api/me/tokens", null).body()).doesNotContain(secret);
    assertThat(sql.queryForList("select digest from token", String.class))
        .contains(Secrets.digest(secret))
        .doesNotContain(secret);
    server.withToken(secret).get("/api/books");
    JsonNode key = driver.get("/api/me/tokens").get(0);
    assertThat(key.path("seenAt").isNull()).isFalse();
    String path = "/api/tokens/" + key.path("id").asString();
    assertThat(driver("Ida").status("DELETE", path, null)).isEqualTo(404);
    assertThat(driver.status("DELETE", path, null)).isEqualTo(204);
    assertThat(server.withToken(secret).status("GET", "/api/books", null)).isEqualTo(401);
  }

  @Test
  void keysHaveANameAScopeAndAnEnd() {
    SharedServer.Device driver = driver("Jon");
    for (String bad :
        new String[] {
          "{\"name\":\"\",\"scope\":\"READ\",\"days\":1}",
          "{\"name\":\"a\",\"scope\":\"ALL\",\"days\":1}",
          "{\"name\":\"a\",\"scope\":\"READ\",\"days\":0}",
          "{\"name\":\"a\",\"scope\":\"READ\",\"days\":367}"
        }) {
      assertThat(driver.status("POST", "/api/me/tokens", bad)).as(bad).isEqualTo(422);
    }
  }

  private static String token(SharedServer.Device device, String scope) {
    return device
        .post(
            "/api/me/tokens", "{\"name\":\"logger\",\"scope\":\"%s\",\"days\":30}".formatted(scope))
        .path("secret")
        .asString();
  }

  private static JsonNode named(JsonNode sharing, String name) {
    for (JsonNode person : sharing.path("people")) {
      if (person.path("name").asString().equals(name)) {
        return person;
      }
    }
    throw new AssertionError("nobody " + name + " in " + sharing);
  }
}
