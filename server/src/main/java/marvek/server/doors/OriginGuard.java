package marvek.server.doors;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import marvek.core.say.Sentence;
import marvek.server.problems.ProblemType;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Keeps the web pages of others out, on loopback too: a browser on this machine would carry their
 * requests in.
 *
 * <ul>
 *   <li>The Host must be one of Marvek's names, so that another name which resolves to this machine
 *       reads nothing.
 *   <li>A request that a browser says comes from a page of elsewhere (Origin, Fetch Metadata) is
 *       refused, but for following a link to something that is only read.
 *   <li>What carries none of these headers is a script, and taken.
 * </ul>
 *
 * Sources: OWASP Cheat Sheet <i>Cross-Site Request Forgery Prevention</i> (Fetch Metadata, origin
 * check); W3C <i>Fetch Metadata Request Headers</i>; from memory.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class OriginGuard extends OncePerRequestFilter {
  private static final Set<String> LOOPBACK = Set.of("localhost", "127.0.0.1", "[::1]");

  private static final Refusal OTHER_NAME =
      new Refusal(
          HttpStatus.FORBIDDEN, ProblemType.OTHER_HOST, Sentence.of("forbidden.other-host"));
  private static final Refusal OTHER_PAGE =
      new Refusal(
          HttpStatus.FORBIDDEN, ProblemType.OTHER_ORIGIN, Sentence.of("forbidden.other-origin"));

  private final Set<String> hosts;

  /**
   * @param more host names besides those of loopback, separated by commas
   */
  OriginGuard(@Value("${marvek.hosts:}") String more) {
    hosts =
        Stream.concat(LOOPBACK.stream(), Stream.of(more.split(",")))
            .map(String::strip)
            .filter(name -> !name.isEmpty())
            .collect(Collectors.toUnmodifiableSet());
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String host = request.getHeader(HttpHeaders.HOST);
    if (host == null || !hosts.contains(nameOf(host).toLowerCase(Locale.ROOT))) {
      OTHER_NAME.answer(response);
    } else if (isOfAnotherPage(request, host) && !followsALink(request)) {
      OTHER_PAGE.answer(response);
    } else {
      chain.doFilter(request, response);
    }
  }

  /** Without the port; an IPv6 address keeps its brackets. */
  private static String nameOf(String host) {
    int colon = host.lastIndexOf(':');
    return colon > host.lastIndexOf(']') ? host.substring(0, colon) : host;
  }

  private static boolean isOfAnotherPage(HttpServletRequest request, String host) {
    String site = request.getHeader("Sec-Fetch-Site");
    if (site != null && !site.equals("same-origin") && !site.equals("none")) {
      return true;
    }
    String origin = request.getHeader(HttpHeaders.ORIGIN);
    return origin != null && !host.equals(authorityOf(origin));
  }

  /** Null for one that is none, as the "null" of a sandboxed page. */
  private static String authorityOf(String origin) {
    try {
      return URI.create(origin).getRawAuthority();
    } catch (IllegalArgumentException e) {
      return null;
    }
  }

  /**
   * A link, a bookmark or a calendar opens it in a tab of its own; nothing else of the page does.
   */
  private static boolean followsALink(HttpServletRequest request) {
    return (request.getMethod().equals("GET") || request.getMethod().equals("HEAD"))
        && "navigate".equals(request.getHeader("Sec-Fetch-Mode"))
        && "document".equals(request.getHeader("Sec-Fetch-Dest"))
        && request.getHeader(HttpHeaders.ORIGIN) == null;
  }
}
