package marvek.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import marvek.formats.JsonFiles;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The description that the interface's types and client are generated from is the server's. After a
 * change of the server it is written anew: {@code ./marvek contract}.
 */
@ServerTest
class ContractTest {
  private static final Path FILE = Path.of("../web/openapi.json");

  @Autowired private TestRestTemplate http;
  @Autowired private RequestMappingHandlerMapping requestMappingHandlerMapping;

  /** Without the address at which it was asked for. */
  private JsonNode api() {
    ObjectNode api = (ObjectNode) new Scripts(http).get("/api/openapi.json").body();
    api.remove("servers");
    return api;
  }

  @Test
  void theFileOfTheInterfaceIsTheServersDescription() throws IOException {
    byte[] now = JsonFiles.writeFile(api());
    if (Boolean.getBoolean("contract.write")) {
      Files.write(FILE, now);
    }
    assertThat(new String(now))
        .as("write it anew with ./marvek contract")
        .isEqualTo(Files.readString(FILE));
  }

  @Test
  void anOperationIsAVerbOfItsOwnUnderItsFeature() {
    List<String> ids = new ArrayList<>();
    for (JsonNode operation : operations(api())) {
      String id = operation.path("operationId").asString();
      assertThat(id).matches("[a-z]+[A-Z]\\w*");
      assertThat(operation.path("tags").size()).as(id).isEqualTo(1);
      assertThat(operation.at("/responses/default/content").propertyNames())
          .as(id)
          .containsExactly("application/problem+json");
      assertThat(operation.path("description").asString("")).as(id + " is told").isNotEmpty();
      ids.add(id);
    }
    assertThat(ids).doesNotHaveDuplicates();
  }

  private static List<JsonNode> operations(JsonNode api) {
    return Stream.of(api.get("paths").values().toArray(JsonNode[]::new))
        .flatMap(path -> path.values().stream())
        .toList();
  }

  /** A member without a type would have to be cast by who reads it. */
  @Test
  void nothingIsLeftOpen() {
    JsonNode api = api();
    List<String> open = new ArrayList<>();
    api.at("/components/schemas")
        .properties()
        .forEach(schema -> untyped(schema.getValue(), schema.getKey(), open));
    for (JsonNode operation : operations(api)) {
      String id = operation.path("operationId").asString();
      operation
          .path("responses")
          .values()
          .forEach(answer -> contents(answer).forEach(told -> untyped(told, id, open)));
      contents(operation.path("requestBody")).forEach(told -> untyped(told, id, open));
    }
    // What is stored now is what the operation that was refused would have answered or taken.
    assertThat(open).containsExactly("Problem/theirs");
  }

  private static List<JsonNode> contents(JsonNode message) {
    return message.path("content").values().stream().map(media -> media.path("schema")).toList();
  }

  private static void untyped(JsonNode schema, String where, List<String> open) {
    boolean told =
        schema.has("$ref")
            || schema.has("anyOf")
            || schema.has("enum")
            || schema.has("const")
            || schema.path("properties").isObject()
            || schema.has("additionalProperties")
            || schema.has("type") && !schema.path("type").toString().contains("object");
    if (!told) {
      open.add(where);
    }
    schema
        .path("properties")
        .properties()
        .forEach(member -> untyped(member.getValue(), where + "/" + member.getKey(), open));
    if (schema.has("items")) {
      untyped(schema.get("items"), where + "/items", open);
    }
  }

  /** Two types of one name would be described as one of them. */
  @Test
  void everyTypeOfABodyOrAnAnswerHasASchemaOfItsOwn() {
    Map<String, List<String>> typesByName = new java.util.TreeMap<>();
    JsonNode schemas = api().at("/components/schemas");
    for (HandlerMethod method : requestMappingHandlerMapping.getHandlerMethods().values()) {
      Stream.concat(
              Stream.of(method.getMethod().getReturnType()),
              Stream.of(method.getMethodParameters())
                  .filter(parameter -> parameter.hasParameterAnnotation(RequestBody.class))
                  .map(MethodParameter::getParameterType))
          .filter(type -> type.isRecord() && type.getName().startsWith("marvek"))
          .forEach(
              type -> {
                String name = nameOf(type);
                List<String> known = typesByName.computeIfAbsent(name, n -> new ArrayList<>());
                if (!known.contains(type.getName())) {
                  known.add(type.getName());
                }
              });
    }
    assertThat(typesByName).isNotEmpty();
    typesByName.forEach(
        (name, types) -> {
          assertThat(types).as(name).hasSize(1);
          assertThat(schemas.has(name)).as(name).isTrue();
        });
  }

  private static String nameOf(Class<?> type) {
    Class<?> outer = type.getEnclosingClass();
    return outer == null
        ? type.getSimpleName()
        : nameOf(outer).replaceFirst("Controller$", "") + type.getSimpleName();
  }
}
