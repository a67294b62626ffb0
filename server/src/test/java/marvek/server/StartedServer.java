package marvek.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.TestInstancePostProcessor;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.restclient.RestTemplateBuilder;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * Starts the server for the first test that wants it; all classes of a run share it. Fields of a
 * test are filled as those of a component are, among them a client that knows the port.
 */
public final class StartedServer implements TestInstancePostProcessor {
  private static ConfigurableApplicationContext running;

  @Override
  public void postProcessTestInstance(Object test, ExtensionContext context) {
    running().getAutowireCapableBeanFactory().autowireBean(test);
  }

  private static synchronized ConfigurableApplicationContext running() {
    if (running == null) {
      ConfigurableApplicationContext context = withDemo(TestDatabase.started());
      context.getBeanFactory().registerSingleton("client", clientOf(context));
      running = context;
    }
    return running;
  }

  private static ConfigurableApplicationContext withDemo(TestDatabase database) {
    try {
      return FilledDemo.with(database, () -> on(database));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Another server beside the shared one, on the same database; whoever asks for it closes it. */
  public static ConfigurableApplicationContext beside(String... settings) {
    running();
    return on(TestDatabase.started(), settings);
  }

  /** A server on a free port. */
  static ConfigurableApplicationContext on(TestDatabase database, String... settings) {
    return new SpringApplicationBuilder(MarvekServer.class)
        .run(
            Stream.concat(
                    Stream.of(
                        "--server.port=0",
                        "--spring.datasource.url=" + database.url(),
                        "--spring.datasource.username=marvek",
                        "--spring.datasource.password=" + database.password()),
                    Stream.of(settings))
                .toArray(String[]::new));
  }

  static TestRestTemplate clientOf(ConfigurableApplicationContext server) {
    String port = server.getEnvironment().getRequiredProperty("local.server.port");
    TestRestTemplate client =
        new TestRestTemplate(
            new RestTemplateBuilder()
                .baseUri("http://localhost:" + port)
                .additionalInterceptors(new AnswersCheck()));
    client.getRestTemplate().setBufferingPredicate((uri, method) -> true);
    return client;
  }
}
