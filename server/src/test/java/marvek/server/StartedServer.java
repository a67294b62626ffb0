package marvek.server;

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
      TestDatabase database = TestDatabase.started();
      ConfigurableApplicationContext context =
          new SpringApplicationBuilder(MarvekServer.class)
              .run(
                  "--server.port=0",
                  "--spring.datasource.url=" + database.url(),
                  "--spring.datasource.username=marvek",
                  "--spring.datasource.password=" + database.password());
      String port = context.getEnvironment().getRequiredProperty("local.server.port");
      context
          .getBeanFactory()
          .registerSingleton(
              "client",
              new TestRestTemplate(new RestTemplateBuilder().baseUri("http://localhost:" + port)));
      running = context;
    }
    return running;
  }
}
