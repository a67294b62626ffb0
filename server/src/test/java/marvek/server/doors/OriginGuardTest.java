package marvek.server.doors;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import marvek.server.Scripts;
import marvek.server.ServerTest;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What a page of elsewhere, or another name for this machine, gets of Marvek: nothing. */
@ServerTest
class OriginGuardTest {
  private static final String CAR_FORM =
      "--x\r\nContent-Disposition: form-data; name=\"file\"; filename=\"a.car.json\"\r\n\r\n%s\r\n--x--\r\n";

  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;
  private RawHttp raw;
  private Scripts scripts;

  @BeforeEach
  void open() {
    raw = new RawHttp(port);
    scripts = new Scripts(http);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "Origin: http://elsewhere.test",
        "Origin: null",
        "Origin: http://127.0.0.1:1",
        "Origin: http://elsewhere.test@127.0.0.1",
        "Sec-Fetch-Site: cross-site",
        "Sec-Fetch-Site: same-site"
      })
  void aPageOfElsewhereCanStoreNothing(String header) throws Exception {
    int before = scripts.get("/api/cars").body().size();
    String circuit = scripts.get("/api/circuits").body().at("/0/id").asString();
    String form = CAR_FORM.formatted(new String(Scripts.demo("teal-coupe.car.json")));
    List<String> multipart = List.of(header, "Content-Type: multipart/form-data; boundary=x");
    assertThat(raw.ask("POST /api/cars/import", multipart, form).status()).isEqualTo(403);
    assertThat(raw.ask("POST /api/circuits/" + circuit + "/walk", List.of(header), "").status())
        .as("without a body")
        .isEqualTo(403);
    assertThat(raw.get("/api/books", header).status()).isEqualTo(403);

    assertThat(scripts.get("/api/cars").body()).hasSize(before);
    assertThat(scripts.get("/api/circuits/" + circuit + "/walk").body().path("id").isNull())
        .isTrue();
    assertThat(raw.ask("POST /api/cars/import", multipart.subList(1, 2), form).status())
        .as("the same from a script")
        .isEqualTo(201);
  }

  @ParameterizedTest
  @CsvSource({
    "document, navigate, 200",
    "iframe,   navigate, 403",
    "image,    no-cors,  403",
    "empty,    cors,     403"
  })
  void aLinkFromElsewhereOpensAndNothingElseDoes(String dest, String mode, int status)
      throws Exception {
    List<String> headers = new ArrayList<>(List.of("Sec-Fetch-Site: cross-site"));
    headers.add("Sec-Fetch-Dest: " + dest);
    headers.add("Sec-Fetch-Mode: " + mode);
    assertThat(raw.ask("GET /api/books", headers, "").status()).isEqualTo(status);
    assertThat(raw.ask("POST /api/books", headers, "{}").status()).isEqualTo(403);
  }

  @ParameterizedTest
  @CsvSource({
    "localhost,      200",
    "LocalHost:80,   200",
    "127.0.0.1:1234, 200",
    "[::1]:8080,     200",
    "[::1],          200",
    "marvek.test,    403",
    "127.0.0.1.test, 403",
    "localhost.test:80, 403"
  })
  void onlyItsOwnNamesAreAnswered(String host, int status) throws Exception {
    assertThat(raw.get("/api/books", "Host: " + host).status()).isEqualTo(status);
    assertThat(raw.get("/", "Host: " + host).status()).isEqualTo(status);
  }

  @Test
  void itsOwnPagesAreTaken() throws Exception {
    String own = "http://127.0.0.1:" + port;
    assertThat(raw.get("/api/books", "Origin: " + own, "Sec-Fetch-Site: same-origin").status())
        .isEqualTo(200);
  }

  @Test
  void everyAnswerHoldsBrowsersBack() throws Exception {
    for (String path : List.of("/", "/api/books", "/api/books/none", "/nothing/here")) {
      RawHttp.Answer answer = raw.get(path);
      assertThat(answer.has("X-Content-Type-Options: nosniff")).as(path).isTrue();
      assertThat(answer.has("Referrer-Policy: no-referrer")).as(path).isTrue();
      assertThat(answer.head())
          .as(path)
          .containsPattern("Content-Security-Policy: .*frame-ancestors 'none'");
    }
    assertThat(raw.get("/").head()).contains("script-src 'self';").doesNotContain("unsafe-eval");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "text/plain",
        "application/x-www-form-urlencoded",
        "multipart/form-data; boundary=x"
      })
  void aBodyHasToSayThatItIsJson(String type) throws Exception {
    String book = scripts.get("/api/books").body().at("/0/id").asString();
    String path = "POST /api/books/" + book + "/revisions";
    assertThat(raw.ask(path, List.of("Content-Type: " + type), "{}").status()).isEqualTo(415);
    assertThat(raw.ask(path, List.of(), "{}").status()).as("none").isEqualTo(415);
  }
}
