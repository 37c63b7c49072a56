package org.opentrellis.app.doors;

import java.net.InetAddress;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * The names that the application answers to. A page that has its own name point at this machine
 * ("DNS rebinding") still says that name in the header {@code Host}, and so gets nothing.
 */
final class HostNames {
  /** A host as RFC 9110, 7.2 writes it: a name, or an address, and maybe a port. */
  private static final Pattern HOST =
      Pattern.compile("(\\[[0-9a-f:.]+]|[a-z0-9._-]+)(?::\\d{1,5})?");

  private final Set<String> allowed = new HashSet<>(Set.of("localhost", "127.0.0.1", "[::1]"));

  /**
   * @param more named by whoever starts the application
   * @param listening the address that it listens on; if it stands for all of them, it is no name
   */
  HostNames(List<String> more, @Nullable InetAddress listening) {
    more.forEach(name -> allowed.add(name.toLowerCase(Locale.ROOT)));
    if (listening != null && !listening.isAnyLocalAddress()) {
      String address = listening.getHostAddress();
      allowed.add(address.contains(":") ? "[" + address + "]" : address);
    }
  }

  boolean allow(@Nullable String host) {
    if (host == null) {
      return false;
    }
    Matcher form = HOST.matcher(host.toLowerCase(Locale.ROOT));
    return form.matches() && allowed.contains(form.group(1));
  }
}
