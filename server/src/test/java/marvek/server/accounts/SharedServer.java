package marvek.server.accounts;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.UUID;
import marvek.formats.JsonFiles;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** A Marvek that is shared, and devices on it. */
final class SharedServer {
  private final ConfigurableApplicationContext context;
  private final String root;

  SharedServer(ConfigurableApplicationContext context) {
    this.context = context;
    this.root =
        "http://127.0.0.1:" + context.getEnvironment().getRequiredProperty("local.server.port");
  }

  /** A device with its cookie, or a script with its key: who has neither is nobody. */
  record Device(HttpClient http, String root, String header, String value) {
    HttpResponse<String> ask(String method, String path, String body) {
      HttpRequest.Builder request =
          HttpRequest.newBuilder(URI.create(root + path))
              .method(
                  method,
                  body == null
                      ? HttpRequest.BodyPublishers.noBody()
                      : HttpRequest.BodyPublishers.ofString(body));
      if (body != null) {
        request.header(
            "Content-Type",
            body.startsWith("--") ? "multipart/form-data; boundary=x" : "application/json");
      }
      if (!value.isEmpty()) {
        request.header(header, value);
      }
      try {
        return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
      } catch (java.io.IOException e) {
        throw new java.io.UncheckedIOException(e);
      } catch (InterruptedException e) {
        throw new IllegalStateException(e);
      }
    }

    int status(String method, String path, String body) {
      return ask(method, path, body).statusCode();
    }

    JsonNode get(String path) {
      return JsonFiles.MAPPER.readTree(ask("GET", path, null).body());
    }

    JsonNode post(String path, String body) {
      return JsonFiles.MAPPER.readTree(ask("POST", path, body).body());
    }
  }

  Device nobody() {
    return new Device(HttpClient.newHttpClient(), root, "", "");
  }

  /** Pairs a device by a code. */
  Device paired(String code, String name) {
    return withCookieOf(pair(code, name));
  }

  /** The device to which an answer gives a session. */
  Device withCookieOf(HttpResponse<String> answer) {
    if (answer.statusCode() != 204) {
      throw new IllegalStateException(answer.statusCode() + " " + answer.body());
    }
    String cookie = answer.headers().firstValue("Set-Cookie").orElseThrow().split(";")[0];
    return new Device(HttpClient.newHttpClient(), root, "Cookie", cookie);
  }

  /** A script with a key. */
  Device withToken(String secret) {
    return new Device(HttpClient.newHttpClient(), root, "Authorization", "Bearer " + secret);
  }

  HttpResponse<String> pair(String code, String name) {
    return nobody()
        .ask("POST", "/api/pair", "{\"code\":\"%s\",\"device\":\"%s\"}".formatted(code, name));
  }

  /** The driver's own device. */
  Device owner() {
    CurrentDriver driver = context.getBean(CurrentDriver.class);
    UUID id = driver.first();
    return paired(driver.as(id, () -> context.getBean(People.class).code(id)), "laptop");
  }

  /** Somebody whom the driver lets see his things, with a device. */
  Device let(Device owner, String name, Role role, String book) {
    return paired(code(owner, letSee(owner, name, role, book)), name + "'s tablet");
  }

  String letSee(Device owner, String name, Role role, String book) {
    String body =
        "{\"name\":\"%s\",\"role\":\"%s\"%s}"
            .formatted(name, role, book == null ? "" : ",\"bookId\":\"" + book + "\"");
    return owner.post("/api/people", body).path("id").asString();
  }

  String code(Device owner, String person) {
    return owner.post("/api/people/" + person + "/code", "").path("code").asString();
  }

  /** Another driver with a shelf of his own. */
  Device stranger() {
    PersonRepository people = context.getBean(PersonRepository.class);
    UUID id = UUID.randomUUID();
    people.saveAndFlush(new Person(id, "Stranger", java.time.Instant.now(), null, true));
    CurrentDriver driver = context.getBean(CurrentDriver.class);
    return paired(driver.as(id, () -> context.getBean(People.class).code(id)), "his own");
  }

  <T> T bean(Class<T> type) {
    return context.getBean(type);
  }
}
