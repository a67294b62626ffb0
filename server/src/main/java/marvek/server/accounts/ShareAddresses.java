package marvek.server.accounts;

import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** Addresses at which other devices find this Marvek. */
@Component
class ShareAddresses {
  private final List<String> hosts;
  private final Environment settings;

  /**
   * @param hosts names and addresses of this machine, the stable name first, separated by commas
   */
  ShareAddresses(@Value("${marvek.share.hosts:}") String hosts, Environment settings) {
    this.hosts =
        Stream.of(hosts.split(",")).map(String::strip).filter(name -> !name.isEmpty()).toList();
    this.settings = settings;
  }

  /** All of them, the best first; none where Marvek is not shared. */
  List<String> all() {
    String port = settings.getProperty("local.server.port", "443");
    return hosts.stream().map(host -> "https://" + host + ":" + port).toList();
  }

  /**
   * Where a device that comes for the first time learns to trust this machine; null for nowhere.
   */
  @Nullable String trust() {
    String port = settings.getProperty("marvek.share.trust-port");
    return port == null || hosts.isEmpty() ? null : "http://" + hosts.get(0) + ":" + port;
  }

  /** The one that is given to others. */
  String best() {
    return all().stream().findFirst().orElse("");
  }
}
