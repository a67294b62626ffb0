package marvek.server;

import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import marvek.formats.JsonFiles;
import org.springframework.http.HttpRequest;
import org.springframework.http.MediaType;
import org.springframework.http.client.ClientHttpRequestExecution;
import org.springframework.http.client.ClientHttpRequestInterceptor;
import org.springframework.http.client.ClientHttpResponse;
import org.springframework.util.StreamUtils;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Every answer that a test gets is what the description says, by the JSON Schema of its operation:
 * what is required is there, nothing is null that may not be, and no member comes that is not
 * described. The description in the file is the server's: {@link ContractTest}.
 */
final class AnswersCheck implements ClientHttpRequestInterceptor {
  private final Map<Pattern, JsonNode> paths = new LinkedHashMap<>();
  private final ObjectNode definitions = JsonFiles.MAPPER.createObjectNode();
  private final Map<JsonNode, Schema> schemas = new ConcurrentHashMap<>();

  AnswersCheck() {
    JsonNode api = described();
    // A path of one's own goes before one with a variable in the same place.
    Stream.of(api.get("paths").properties().toArray(Map.Entry[]::new))
        .map(path -> Map.entry((String) path.getKey(), (JsonNode) path.getValue()))
        .sorted(Map.Entry.comparingByKey(AnswersCheck::variablesLast))
        .forEach(path -> paths.put(pattern(path.getKey()), path.getValue()));
    api.at("/components/schemas")
        .properties()
        .forEach(named -> definitions.set(named.getKey(), closed(named.getValue())));
  }

  private static JsonNode described() {
    try {
      String text = Files.readString(Path.of("../web/openapi.json"));
      return JsonFiles.parse(
          text.replace("#/components/schemas/", "#/$defs/").getBytes(StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static int variablesLast(String a, String b) {
    return a.replace('{', '~').compareTo(b.replace('{', '~'));
  }

  private static Pattern pattern(String path) {
    return Pattern.compile(Pattern.quote(path).replaceAll("\\{[^}]+\\}", "\\\\E[^/]+\\\\Q"));
  }

  /** The same with nothing that is not described. */
  private static JsonNode closed(JsonNode schema) {
    if (schema instanceof ObjectNode object) {
      object.values().forEach(AnswersCheck::closed);
      if (object.path("properties").isObject() && !object.has("additionalProperties")) {
        object.put("additionalProperties", false);
      }
    } else {
      schema.values().forEach(AnswersCheck::closed);
    }
    return schema;
  }

  @Override
  public ClientHttpResponse intercept(
      HttpRequest request, byte[] body, ClientHttpRequestExecution execution) throws IOException {
    ClientHttpResponse response = execution.execute(request, body);
    MediaType type = response.getHeaders().getContentType();
    if (response.getStatusCode().is2xxSuccessful()
        && MediaType.APPLICATION_JSON.isCompatibleWith(type)
        && !response.getHeaders().getContentDisposition().isAttachment()) {
      check(request, response);
    }
    return response;
  }

  private void check(HttpRequest request, ClientHttpResponse response) throws IOException {
    String path = request.getURI().getPath();
    JsonNode operation =
        paths.entrySet().stream()
            .filter(known -> known.getKey().matcher(path).matches())
            .map(Map.Entry::getValue)
            .map(known -> known.path(request.getMethod().name().toLowerCase(java.util.Locale.ROOT)))
            .filter(JsonNode::isObject)
            .findFirst()
            .orElse(null);
    if (operation == null) {
      return;
    }
    JsonNode content =
        operation
            .path("responses")
            .path(String.valueOf(response.getStatusCode().value()))
            .path("content");
    JsonNode schema =
        content.isObject() && !content.isEmpty()
            ? content.values().iterator().next().path("schema")
            : JsonFiles.MAPPER.createObjectNode();
    JsonNode answer = JsonFiles.parse(StreamUtils.copyToByteArray(response.getBody()));
    Set<String> wrong = new TreeSet<>();
    schemas
        .computeIfAbsent(schema, this::compiled)
        .validate(answer)
        .forEach(error -> wrong.add(error.toString().replaceAll("\\d+", "#")));
    if (!wrong.isEmpty()) {
      throw new AssertionError(
          request.getMethod()
              + " "
              + path
              + " answers otherwise than described:\n"
              + String.join("\n", List.copyOf(wrong)));
    }
  }

  private Schema compiled(JsonNode schema) {
    ObjectNode whole = JsonFiles.MAPPER.createObjectNode();
    whole.setAll((ObjectNode) schema.deepCopy());
    whole.set("$defs", definitions);
    return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12).getSchema(whole);
  }
}
