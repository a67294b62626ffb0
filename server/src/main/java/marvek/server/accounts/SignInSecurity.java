package marvek.server.accounts;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import marvek.core.say.Sentence;
import marvek.formats.JsonFiles;
import marvek.formats.SentenceJson;
import marvek.server.problems.ProblemType;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.ProviderNotFoundException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import tools.jackson.databind.node.ObjectNode;

/**
 * Nothing of anybody's is read before it is known who asks; what he may do then, the {@link Guard}
 * decides. Forged requests of other pages are kept out before by their origin, and by cookies that
 * such pages do not carry along.
 */
@Configuration
class SignInSecurity {
  static final String PAIR = "/api/pair";
  static final String ME = "/api/me";
  static final String SIGN_IN = "/api/sign-in";

  private static final String SIGNED_OUT = signedOut();

  private static String signedOut() {
    Sentence said = Sentence.of("forbidden.signed-out");
    ObjectNode problem =
        JsonFiles.MAPPER
            .createObjectNode()
            .put("type", ProblemType.SIGNED_OUT.uri().toString())
            .put("title", ProblemType.SIGNED_OUT.title())
            .put("status", HttpStatus.UNAUTHORIZED.value())
            .put("detail", said.words());
    problem.set("said", SentenceJson.write(said));
    return JsonFiles.write(problem);
  }

  @Bean
  SignInMode signInMode(@Value("${marvek.sign-in:none}") String mode) {
    return SignInMode.valueOf(mode.toUpperCase(Locale.ROOT));
  }

  @Bean
  SecurityFilterChain chain(
      HttpSecurity http,
      SignInMode mode,
      CurrentDriver driver,
      DeviceRepository devices,
      TokenRepository tokens)
      throws Exception {
    return http.csrf(AbstractHttpConfigurer::disable)
        .headers(AbstractHttpConfigurer::disable)
        .requestCache(AbstractHttpConfigurer::disable)
        .logout(AbstractHttpConfigurer::disable)
        .anonymous(AbstractHttpConfigurer::disable)
        .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .authorizeHttpRequests(
            paths ->
                paths
                    .requestMatchers(PAIR, ME, SIGN_IN)
                    .permitAll()
                    .requestMatchers("/api/**")
                    .authenticated()
                    // The interface's own files hold nothing of anybody's.
                    .anyRequest()
                    .permitAll())
        .addFilterBefore(new DeviceFilter(mode, driver, devices), AuthorizationFilter.class)
        .addFilterBefore(new TokenFilter(mode, tokens), AuthorizationFilter.class)
        .exceptionHandling(faults -> faults.authenticationEntryPoint(SignInSecurity::signedOut))
        .build();
  }

  /** Passwords are {@link Accounts}': without this one would be made up and written to the log. */
  @Bean
  AuthenticationManager noPasswords() {
    return asked -> {
      throw new ProviderNotFoundException("Nobody signs in here.");
    };
  }

  private static void signedOut(
      HttpServletRequest request, HttpServletResponse response, AuthenticationException why)
      throws IOException {
    response.setStatus(HttpServletResponse.SC_UNAUTHORIZED);
    response.setHeader("Connection", "close");
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    byte[] body = SIGNED_OUT.getBytes(StandardCharsets.UTF_8);
    response.setContentLength(body.length);
    response.getOutputStream().write(body);
  }
}
