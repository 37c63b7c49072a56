package org.opentrellis.core.message;

import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/** What can be told of a web address without asking for it. */
public final class WebAddress {
  private static final Pattern FORM =
      Pattern.compile("(?i)https?://[\\p{L}\\p{N}][\\p{L}\\p{N}.-]*(:\\d{1,5})?([/?#]\\S*)?");

  /** Names of whatever machine one sits at (RFC 6761, section 6.3; from memory). */
  private static final Set<String> HERE = Set.of("localhost", "127.0.0.1");

  private WebAddress() {}

  /**
   * What keeps it from being a link.
   *
   * @return half a sentence, to go on behind "leads to …"; nothing if it can be one
   */
  public static Optional<String> refusal(String address) {
    if (address.isBlank()) {
      return Optional.of("nowhere");
    }
    return FORM.matcher(address).matches()
        ? Optional.empty()
        : Optional.of(
            "%s, which is no web address: one begins with https://".formatted(quoted(address)));
  }

  /** Whether it leads to the machine of whoever follows it, where nothing is. */
  public static boolean isHere(String address) {
    String host =
        address
            .replaceFirst("(?i)^https?://", "")
            .replaceFirst("[:/?#].*$", "")
            .toLowerCase(Locale.ROOT);
    return HERE.contains(host) || host.endsWith(".localhost");
  }

  /** With https:// before it if it was typed as people say it. */
  public static String completed(String typed) {
    String address = typed.strip();
    return address.matches("(?i)[a-z][a-z0-9+.-]*:.*") || address.isEmpty()
        ? address
        : "https://" + address;
  }

  private static String quoted(String address) {
    String shown = address.length() > 40 ? address.substring(0, 40) + "\u2026" : address;
    return "\u201c" + shown + "\u201d";
  }
}
