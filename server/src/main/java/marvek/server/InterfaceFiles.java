package marvek.server;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * How long a browser keeps the interface: its assets, whose names change with what is in them, for
 * good; the page that names them is asked for each time.
 */
@Configuration
class InterfaceFiles implements WebMvcConfigurer {
  private static final String FOLDER = "classpath:/META-INF/resources/";
  private static final Duration FOR_GOOD = Duration.ofDays(365);

  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler("/assets/**")
        .addResourceLocations(FOLDER + "assets/")
        .setCacheControl(CacheControl.maxAge(FOR_GOOD).cachePublic().immutable());
    registry
        .addResourceHandler("/**")
        .addResourceLocations(FOLDER)
        .setCacheControl(CacheControl.noCache());
  }
}
