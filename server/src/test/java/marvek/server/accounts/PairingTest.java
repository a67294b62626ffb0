package marvek.server.accounts;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Locale;
import java.util.UUID;
import marvek.server.StartedServer;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Devices come in by a code, and go by the driver's word. */
class PairingTest {
  private static ConfigurableApplicationContext context;
  private static SharedServer shared;
  private static SharedServer.Device owner;
  private JdbcTemplate sql;

  @BeforeAll
  static void share() {
    context = StartedServer.beside("--marvek.sign-in=pairing", "--marvek.demo=false");
    shared = new SharedServer(context);
    owner = shared.owner();
  }

  @AfterAll
  static void close() {
    context.close();
  }

  @BeforeEach
  void noneWasWrong() {
    sql = context.getBean(JdbcTemplate.class);
    sql.update("delete from wrong_pairing");
  }

  @Test
  void aCodePairsOneDeviceHoweverItIsTyped() {
    String person = shared.letSee(owner, "Ines", Role.COACH, null);
    String code = shared.code(owner, person);
    assertThat(code).matches("[2-9A-HJ-NP-Z]{4}-[2-9A-HJ-NP-Z]{4}");
    SharedServer.Device tablet =
        shared.paired(code.toLowerCase(Locale.ROOT).replace('-', ' '), "tablet");
    JsonNode me = tablet.get("/api/me");
    assertThat(me.path("name").asString()).isEqualTo("Ines");
    assertThat(me.path("role").asString()).isEqualTo("COACH");
    assertThat(shared.pair(code, "another").statusCode()).isEqualTo(403);
    assertThat(tablet.status("GET", "/api/books", null)).isEqualTo(200);
  }

  @Test
  void theCookieIsKeptFromScriptsAndOtherPages() {
    String code = shared.code(owner, shared.letSee(owner, "Cookie", Role.COACH, null));
    HttpResponse<String> answer = shared.pair(code, "tablet");
    assertThat(answer.headers().firstValue("Set-Cookie").orElseThrow())
        .startsWith("marvek=")
        .contains("HttpOnly")
        .contains("SameSite=Lax");
  }

  @Test
  void anOldCodeAndAWrongOnePairNothing() {
    String code = shared.code(owner, shared.letSee(owner, "Late", Role.COACH, null));
    sql.update("update pairing set expires_at = now() - interval '1 second' where used_at is null");
    assertThat(shared.pair(code, "tablet").statusCode()).isEqualTo(403);
    assertThat(shared.pair("AAAA-AAAA", "tablet").body()).contains("wrong, used already");
  }

  @Test
  void guessingIsSlowedAlsoForWhoHasTheRightOne() {
    String code = shared.code(owner, shared.letSee(owner, "Slow", Role.COACH, null));
    for (int guess = 0; guess < 20; guess++) {
      assertThat(shared.pair("AAAA-%04d".formatted(guess), "x").statusCode()).isEqualTo(403);
    }
    assertThat(shared.pair(code, "tablet").statusCode()).isEqualTo(429);
    sql.update("update wrong_pairing set at = at - interval '11 minutes'");
    assertThat(shared.pair(code, "tablet").statusCode()).isEqualTo(204);
  }

  @Test
  void aCodeIsKeptAsItsDigestOnly() {
    String code = shared.code(owner, shared.letSee(owner, "Digest", Role.COACH, null));
    assertThat(sql.queryForList("select digest from pairing", String.class))
        .contains(PairingCode.digest(code))
        .noneMatch(kept -> kept.contains(code.replace("-", "")));
  }

  @Test
  void anEndedDeviceIsOutWithItsNextStepAndTheOthersStay() {
    String person = shared.letSee(owner, "Two", Role.COACH, null);
    SharedServer.Device first = shared.paired(shared.code(owner, person), "first");
    SharedServer.Device second = shared.paired(shared.code(owner, person), "second");
    String id = first.get("/api/me").path("device").asString();
    assertThat(owner.status("DELETE", "/api/devices/" + id, null)).isEqualTo(204);
    HttpResponse<String> out = first.ask("GET", "/api/books", null);
    assertThat(out.statusCode()).isEqualTo(401);
    assertThat(out.body()).contains("not signed in").contains("Nothing that was typed");
    assertThat(second.status("GET", "/api/books", null)).isEqualTo(200);
    assertThat(owner.status("DELETE", "/api/people/" + person, null)).isEqualTo(204);
    assertThat(second.status("GET", "/api/books", null)).isEqualTo(401);
    assertThat(owner.status("GET", "/api/books", null)).isEqualTo(200);
  }

  @Test
  void theDriverSeesWhenADeviceWasThereLast() {
    SharedServer.Device tablet = shared.let(owner, "Seen", Role.COACH, null);
    UUID id = UUID.fromString(tablet.get("/api/me").path("device").asString());
    sql.update("update device set seen_at = seen_at - interval '2 days' where id = ?", id);
    tablet.get("/api/books");
    assertThat(
            sql.queryForObject(
                "select seen_at > now() - interval '1 minute' from device where id = ?",
                Boolean.class,
                id))
        .isTrue();
  }

  @Test
  void whoSignsOutIsOut() {
    SharedServer.Device tablet = shared.let(owner, "Out", Role.COACH, null);
    assertThat(tablet.status("POST", "/api/sign-out", "")).isEqualTo(204);
    assertThat(tablet.status("GET", "/api/books", null)).isEqualTo(401);
  }

  @Test
  void aGuestSeesOneBookAndWhatItIsMadeOfAndNoOther() {
    JsonNode books = owner.get("/api/books");
    String mine = books.get(0).path("id").asString();
    String other =
        owner.post("/api/books/" + mine + "/copy", "{\"name\":\"another\"}").path("id").asString();
    SharedServer.Device guest = shared.let(owner, "Guest", Role.GUEST, mine);
    assertThat(guest.status("GET", "/api/books/" + mine + "/view", null)).isEqualTo(200);
    String circuit = books.get(0).path("circuitId").asString();
    assertThat(guest.status("GET", "/api/circuits/" + circuit, null)).isEqualTo(200);
    assertThat(guest.status("GET", "/api/books/" + other + "/view", null)).isEqualTo(404);
    assertThat(guest.status("GET", "/api/books/" + mine + "/beside/" + other, null)).isEqualTo(404);
    assertThat(guest.status("GET", "/api/books", null)).isEqualTo(403);
    assertThat(guest.get("/api/me").path("bookId").asString()).isEqualTo(mine);
    assertThat(owner.get("/api/me").path("bookId").isNull()).isTrue();
  }

  @Test
  void whatIsLearnedBelongsToWhoLearnsIt() {
    JsonNode books = owner.get("/api/books");
    String recall = "/api/books/" + books.get(0).path("id").asString() + "/recall";
    SharedServer.Device coach = shared.let(owner, "Learner", Role.COACH, null);
    int known = owner.get(recall).path("known").asInt(-1);
    int begun = coach.get(recall).path("known").asInt(-1);
    assertThat(begun).isZero();
    coach.ask("POST", recall, "{\"corner\":1,\"kind\":\"gear\",\"quality\":5}");
    assertThat(coach.get(recall).path("known").asInt(-1)).isEqualTo(1);
    assertThat(owner.get(recall).path("known").asInt(-1)).isEqualTo(known);
  }

  @Test
  void peopleHaveANameARoleAndAGuestHasABook() {
    assertThat(status("{\"name\":\"\",\"role\":\"COACH\"}")).isEqualTo(422);
    assertThat(status("{\"name\":\"a\",\"role\":\"DRIVER\"}")).isEqualTo(422);
    assertThat(status("{\"name\":\"a\",\"role\":\"GUEST\"}")).isEqualTo(422);
    assertThat(status("{\"name\":\"a\",\"role\":\"INSTRUCTOR\"}")).isEqualTo(422);
    assertThat(status("{\"name\":\"a\",\"role\":\"KING\"}")).isEqualTo(400);
    assertThat(owner.status("POST", "/api/people/" + UUID.randomUUID() + "/code", ""))
        .isEqualTo(404);
  }

  private int status(String person) {
    return owner.status("POST", "/api/people", person);
  }
}
