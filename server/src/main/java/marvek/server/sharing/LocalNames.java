package marvek.server.sharing;

import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.UnknownHostException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * How other devices on the local network call this machine.
 *
 * @param names the stable one first: what a device keeps belongs to the name it came by
 * @param addresses private IPv4 addresses, which may change
 */
record LocalNames(List<String> names, List<String> addresses) {
  LocalNames {
    names = List.copyOf(names);
    addresses = List.copyOf(addresses);
  }

  /**
   * Of this machine.
   *
   * @param given a name that is known to lead here, or null
   */
  static LocalNames ofThisMachine(@Nullable String given) {
    Set<String> names = new LinkedHashSet<>();
    if (given != null && !given.isBlank()) {
      names.add(given.strip().toLowerCase(Locale.ROOT));
    }
    String host = hostName();
    if (!host.isEmpty()) {
      // Multicast DNS (RFC 6762): telephones and computers find it where a responder runs.
      names.add(host.contains(".") ? host : host + ".local");
    }
    return new LocalNames(List.copyOf(names), privateAddresses());
  }

  private static String hostName() {
    try {
      String name = InetAddress.getLocalHost().getHostName().toLowerCase(Locale.ROOT);
      return name.matches("[a-z0-9-]+(\\.[a-z0-9-]+)*") && !name.equals("localhost") ? name : "";
    } catch (UnknownHostException e) {
      return "";
    }
  }

  private static List<String> privateAddresses() {
    List<String> found = new ArrayList<>();
    try {
      NetworkInterface.networkInterfaces()
          .flatMap(NetworkInterface::inetAddresses)
          .filter(address -> address instanceof Inet4Address && address.isSiteLocalAddress())
          .map(InetAddress::getHostAddress)
          .forEach(found::add);
    } catch (SocketException e) {
      // A machine without a network has none.
      return List.of();
    }
    return found;
  }

  /** Names and addresses, those first by which a device finds the way surest. */
  List<String> all() {
    List<String> all = new ArrayList<>(addresses);
    all.addAll(names);
    all.add("localhost");
    all.add("127.0.0.1");
    return all;
  }
}
