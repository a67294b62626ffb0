package marvek.server.accounts;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Finds out who a request comes from: by its session the device, by the device the person. */
class DeviceFilter extends OncePerRequestFilter {
  /** In the session: id of the device that was paired in it. */
  static final String DEVICE = "device";

  /** In the session: id of the driver whose things were chosen to be seen. */
  static final String SHELF = "shelf";

  private static final Duration KEPT_TO = Duration.ofMinutes(15);

  private final SignInMode mode;
  private final CurrentDriver driver;
  private final DeviceRepository devices;

  DeviceFilter(SignInMode mode, CurrentDriver driver, DeviceRepository devices) {
    this.mode = mode;
    this.driver = driver;
    this.devices = devices;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (request.getRequestURI().startsWith("/api/")) {
      signedIn(request)
          .ifPresent(
              who ->
                  SecurityContextHolder.getContext()
                      .setAuthentication(
                          UsernamePasswordAuthenticationToken.authenticated(who, null, List.of())));
    }
    chain.doFilter(request, response);
  }

  private Optional<SignedIn> signedIn(HttpServletRequest request) {
    if (mode == SignInMode.NONE) {
      return Optional.of(new SignedIn(driver.first(), null, null, Scope.ALL));
    }
    HttpSession session = request.getSession(false);
    return Optional.ofNullable(session == null ? null : (String) session.getAttribute(DEVICE))
        .flatMap(id -> devices.findByIdAndEndedAtIsNull(UUID.fromString(id)))
        .map(device -> seen(device, (UUID) session.getAttribute(SHELF)));
  }

  private SignedIn seen(Device device, @Nullable UUID shelf) {
    // Not each time: reading would write.
    if (device.seenAt().isBefore(Instant.now().minus(KEPT_TO))) {
      devices.seen(device.id());
    }
    return new SignedIn(device.personId(), device.id(), shelf, Scope.ALL);
  }
}
