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
      ids.add(id);
    }
    assertThat(ids).doesNotHaveDuplicates();
  }

  private static List<JsonNode> operations(JsonNode api) {
    return Stream.of(api.get("paths").values().toArray(JsonNode[]::new))
        .flatMap(path -> path.values().stream())
        .toList();
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
