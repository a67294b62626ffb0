package marvek.server.doors;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What browsers are told to hold back with every answer: scripts that are not files of Marvek's
 * own, frames, guessed content types, where a link was followed from. Source: OWASP Cheat Sheet
 * <i>HTTP Security Response Headers</i>, from memory.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class AnswerHeaders extends OncePerRequestFilter {
  /** Style attributes stay: the drawings carry computed widths and places in them. */
  private static final String INTERFACE =
      "default-src 'none'; script-src 'self'; style-src 'self'; style-src-attr 'unsafe-inline';"
          + " img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; media-src 'self' blob:;"
          + " manifest-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";

  /** Without rules on content: a browser's own view of a printed card is made of such. */
  private static final String DATA = "frame-ancestors 'none'";

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    boolean data = request.getRequestURI().startsWith("/api/");
    response.setHeader("Content-Security-Policy", data ? DATA : INTERFACE);
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("X-Frame-Options", "DENY");
    response.setHeader("Referrer-Policy", "no-referrer");
    response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
    response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
    chain.doFilter(request, response);
  }
}
