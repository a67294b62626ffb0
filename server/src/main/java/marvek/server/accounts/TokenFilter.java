package marvek.server.accounts;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpHeaders;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Finds out for whom a script asks, by the key that it sends (RFC 6750, section 2.1). Who sends a
 * key that does not open is nobody, whatever cookie goes with it.
 */
class TokenFilter extends OncePerRequestFilter {
  /** How a key begins, so that it is known for one wherever it lies about. */
  static final String SIGN = "marvek_";

  private static final String BEARER = "Bearer ";

  private final SignInMode mode;
  private final TokenRepository tokens;

  TokenFilter(SignInMode mode, TokenRepository tokens) {
    this.mode = mode;
    this.tokens = tokens;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String header = request.getHeader(HttpHeaders.AUTHORIZATION);
    if (mode != SignInMode.NONE && header != null) {
      SecurityContextHolder.getContext().setAuthentication(null);
      if (header.regionMatches(true, 0, BEARER, 0, BEARER.length())) {
        signIn(header.substring(BEARER.length()).strip());
      }
    }
    chain.doFilter(request, response);
  }

  private void signIn(String secret) {
    tokens
        .open(Secrets.digest(secret))
        .ifPresent(
            token -> {
              tokens.seen(token.id());
              SignedIn who = new SignedIn(token.personId(), null, null, token.scope());
              SecurityContextHolder.getContext()
                  .setAuthentication(
                      UsernamePasswordAuthenticationToken.authenticated(
                          who, null, java.util.List.of()));
            });
  }
}
