package marvek.server.accounts;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import marvek.core.say.Sentence;
import marvek.server.problems.ForbiddenException;
import marvek.server.problems.NotFoundException;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.convert.ConversionException;
import org.springframework.core.convert.ConversionService;
import org.springframework.format.support.DefaultFormattingConversionService;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * The one place at which it is decided who may do what: every operation needs the right that the
 * table {@code marvek/rights.txt} names, of whose things it is about. One that is not in the table
 * is refused. Somebody who may not even see a thing is told that there is none.
 */
@Configuration
class Guard implements HandlerInterceptor, WebMvcConfigurer {
  private static final String OURS = "marvek.";
  private static final ConversionService IDS = new DefaultFormattingConversionService();

  private final Rights rights;
  private final Access access;
  private final Shelves shelves;
  private final CurrentDriver driver;

  Guard(Rights rights, Access access, Shelves shelves, CurrentDriver driver) {
    this.rights = rights;
    this.access = access;
    this.shelves = shelves;
    this.driver = driver;
  }

  @Override
  public void addInterceptors(InterceptorRegistry registry) {
    registry.addInterceptor(this);
  }

  @Override
  public boolean preHandle(
      HttpServletRequest request, HttpServletResponse response, Object handler) {
    if (!(handler instanceof HandlerMethod method)
        || !method.getBeanType().getPackageName().startsWith(OURS)) {
      // Files of the interface and the description of the paths: they hold nothing of anybody's.
      return true;
    }
    String operation = method.getMethod().getName();
    Rights.Need need = rights.of(operation);
    if (need == null) {
      throw new ForbiddenException(Sentence.of("forbidden.no-table", "operation", operation));
    }
    if (need.whose() == Rights.Whose.NOBODY) {
      return true;
    }
    SignedIn who = who();
    if (!who.scope().may(need.right())) {
      throw new ForbiddenException(Sentence.of("forbidden.script-key"));
    }
    UUID person = who.person();
    UUID owner =
        switch (need.whose()) {
          case SHELF -> ofShelf(who, need.right());
          case THINGS -> ofThings(person, need, addressOf(request));
          default -> person;
        };
    driver.begin(person, owner);
    return true;
  }

  @Override
  public void afterCompletion(
      HttpServletRequest request, HttpServletResponse response, Object handler, Exception fault) {
    driver.end();
  }

  private static SignedIn who() {
    return (SignedIn) SecurityContextHolder.getContext().getAuthentication().getPrincipal();
  }

  @SuppressWarnings("unchecked")
  private static Map<String, String> addressOf(HttpServletRequest request) {
    return (Map<String, String>)
        request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
  }

  private UUID ofShelf(SignedIn who, Right right) {
    UUID owner = shelves.seenBy(who);
    need(right, access.roleOnShelf(who.person(), owner).orElse(null));
    return owner;
  }

  private UUID ofThings(UUID person, Rights.Need need, Map<String, String> address) {
    UUID owner = null;
    for (String variable : need.things().keySet()) {
      Optional<UUID> id = idOf(address.get(variable));
      Thing thing = id.isEmpty() ? null : thingOf(need, variable, address);
      if (thing != null) {
        owner = ofThing(person, need.right(), thing, id.get(), owner);
      }
    }
    return owner == null ? person : owner;
  }

  /**
   * An id as the features will read it, by the same conversion: read more strictly here, one that
   * is written with a blank would pass without being asked whose it is. A thing that there is not,
   * or an id that is none, is told by the feature in its own words.
   */
  private static Optional<UUID> idOf(String words) {
    try {
      return Optional.ofNullable(IDS.convert(words, UUID.class));
    } catch (ConversionException e) {
      return Optional.empty();
    }
  }

  private static Thing thingOf(Rights.Need need, String variable, Map<String, String> address) {
    try {
      return need.thing(variable, address);
    } catch (IllegalArgumentException e) {
      return null;
    }
  }

  private UUID ofThing(UUID person, Right right, Thing thing, UUID id, UUID known) {
    Access.Owned owned = access.ownerOf(thing, id).orElse(null);
    if (owned == null) {
      return known;
    }
    Role role = access.role(person, owned, id).orElse(null);
    if (role == null || (known != null && !known.equals(owned.owner()))) {
      throw NotFoundException.of(thing.word(), id);
    }
    need(right, role);
    return owned.owner();
  }

  private static void need(Right right, Role role) {
    if (role == null || !role.may(right)) {
      throw new ForbiddenException(
          Sentence.of("forbidden.role", "role", role == null ? Role.GUEST : role));
    }
  }
}
