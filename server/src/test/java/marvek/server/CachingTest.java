package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.http.HttpEntity;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.ResponseEntity;

/** What a browser may keep, for how long, and how it asks whether that still holds (RFC 9111). */
@ExtendWith(StartedServer.class)
class CachingTest {
  @Autowired private TestRestTemplate client;
  private Scripts scripts;
  private String book;

  @BeforeEach
  void aBook() {
    scripts = new Scripts(client);
    book = "/api/books/" + scripts.get("/api/books").body().at("/0/id").asString();
  }

  private ResponseEntity<byte[]> asked(String path, String... headers) {
    HttpHeaders sent = new HttpHeaders();
    for (int h = 0; h < headers.length; h += 2) {
      sent.set(headers[h], headers[h + 1]);
    }
    return client.exchange(path, HttpMethod.GET, new HttpEntity<>(sent), byte[].class);
  }

  @Test
  void aRevisionIsKeptForGood() {
    ResponseEntity<byte[]> first = asked(book + "/revisions/1");
    assertThat(first.getHeaders().getCacheControl()).contains("private", "immutable", "31536000");
    ResponseEntity<byte[]> again =
        asked(book + "/revisions/1", HttpHeaders.IF_NONE_MATCH, first.getHeaders().getETag());
    assertThat(again.getStatusCode().value()).isEqualTo(304);
    assertThat(again.getBody()).isNull();
    assertThat(asked(book + "/revisions/2").getHeaders().getETag())
        .isNotEqualTo(first.getHeaders().getETag());
  }

  /** What is computed of it is asked for again, and not sent again while it holds. */
  @Test
  void aViewIsAskedForAgainAndAnsweredInAWord() throws Exception {
    String view = book + "/revisions/1/view";
    ResponseEntity<byte[]> first = asked(view);
    assertThat(first.getHeaders().getCacheControl()).contains("no-cache", "private");
    assertThat(sentAs(view)).isEqualTo("gzip");
    ResponseEntity<byte[]> again =
        asked(view, HttpHeaders.IF_NONE_MATCH, first.getHeaders().getETag());
    assertThat(again.getStatusCode().value()).isEqualTo(304);
    assertThat(asked(view, HttpHeaders.IF_NONE_MATCH, "W/\"1-7\"").getStatusCode().value())
        .isEqualTo(200);
    String none = "/api/books/00000000-0000-0000-0000-000000000000/revisions/1/view";
    assertThat(
            asked(none, HttpHeaders.IF_NONE_MATCH, first.getHeaders().getETag())
                .getStatusCode()
                .value())
        .isEqualTo(404);
  }

  /** How it goes over the wire to who takes it compressed; the other client unpacks by itself. */
  private String sentAs(String path) throws Exception {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(client.getRootUri() + path))
            .header(HttpHeaders.ACCEPT_ENCODING, "gzip")
            .build();
    return HttpClient.newHttpClient()
        .send(request, HttpResponse.BodyHandlers.ofByteArray())
        .headers()
        .firstValue(HttpHeaders.CONTENT_ENCODING)
        .orElse("plain");
  }

  @Test
  void theInterfacesFilesAreKeptForGoodAndItsPageIsNot() {
    ResponseEntity<byte[]> page = asked("/shelf");
    assertThat(page.getHeaders().getCacheControl()).isEqualTo("no-cache");
    Matcher script = Pattern.compile("/assets/[^\"]+\\.js").matcher(new String(page.getBody()));
    assertThat(script.find()).isTrue();
    ResponseEntity<byte[]> asset = asked(script.group());
    assertThat(asset.getStatusCode().value()).isEqualTo(200);
    assertThat(asset.getHeaders().getCacheControl()).contains("immutable", "31536000");
    assertThat(asked("/assets/none.js").getStatusCode().value()).isEqualTo(404);
  }
}
