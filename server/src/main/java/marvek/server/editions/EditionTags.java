package marvek.server.editions;

import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.core.MethodParameter;
import org.springframework.format.FormatterRegistry;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.server.ServerHttpRequest;
import org.springframework.http.server.ServerHttpResponse;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyAdvice;

/** Editions as headers: out as the ETag, in as If-Match. */
@ControllerAdvice
class EditionTags implements ResponseBodyAdvice<Object>, WebMvcConfigurer {
  static {
    // In the description of the interface it is the text that it travels as.
    SpringDocUtils.getConfig().replaceWithClass(Edition.class, String.class);
  }

  @Override
  public void addFormatters(FormatterRegistry registry) {
    registry.addConverter(String.class, Edition.class, Edition::parse);
  }

  @Override
  public boolean supports(
      MethodParameter returned, Class<? extends HttpMessageConverter<?>> converter) {
    return Edited.class.isAssignableFrom(returned.getParameterType());
  }

  @Override
  public Object beforeBodyWrite(
      Object body,
      MethodParameter returned,
      MediaType type,
      Class<? extends HttpMessageConverter<?>> converter,
      ServerHttpRequest request,
      ServerHttpResponse response) {
    if (body instanceof Edited edited) {
      response.getHeaders().set(HttpHeaders.ETAG, Edition.tag(edited.edition()));
    }
    return body;
  }
}
