package org.opentrellis.core.people;

import jakarta.mail.internet.AddressException;
import jakarta.mail.internet.InternetAddress;
import java.net.IDN;
import java.util.Locale;
import org.opentrellis.core.problem.Refused;

/**
 * An address that mail can be sent to, as it is written, with its domain in ASCII letters.
 *
 * <p>Its form is that of RFC 5321, section 4.1.2, without quoted names and address literals, which
 * no list of subscribers has; its lengths are those of section 4.5.3.1.
 *
 * @param value such as "mira.t@example.com"
 */
public record EmailAddress(String value) {
  private static final int LONGEST = 254;
  private static final int LONGEST_NAME = 64;

  public EmailAddress {
    value = checked(value.strip());
  }

  /** Two addresses with the same key are one. */
  public String key() {
    return value.toLowerCase(Locale.ROOT);
  }

  /** What stands behind the @. */
  public String domain() {
    return value.substring(value.lastIndexOf('@') + 1);
  }

  @Override
  public String toString() {
    return value;
  }

  private static String checked(String typed) {
    if (typed.isEmpty()) {
      throw refused("an address is missing");
    }
    int at = typed.lastIndexOf('@');
    if (at < 0) {
      throw refused("an address has an @ between name and domain");
    }
    String name = typed.substring(0, at);
    if (name.isEmpty() || name.length() > LONGEST_NAME) {
      throw refused(
          name.isEmpty()
              ? "before the @ of an address stands a name"
              : "before the @ stand at most %d characters, not %d"
                  .formatted(LONGEST_NAME, name.length()));
    }
    if (!name.chars().allMatch(letter -> letter > ' ' && letter < 127) || name.contains("\"")) {
      throw refused("before the @ stand only letters without accents, digits and signs");
    }
    String domain = domain(typed.substring(at + 1));
    String address = name + "@" + domain;
    if (address.length() > LONGEST) {
      throw refused("an address has at most %d characters".formatted(LONGEST));
    }
    try {
      new InternetAddress(address, true).validate();
    } catch (AddressException wrong) {
      throw refused("no mail server takes this address: " + plain(wrong));
    }
    return address;
  }

  private static String domain(String typed) {
    String domain;
    try {
      domain = IDN.toASCII(typed, IDN.USE_STD3_ASCII_RULES);
    } catch (IllegalArgumentException wrong) {
      throw refused("after the @ stands a domain, such as example.com");
    }
    int dot = domain.lastIndexOf('.');
    if (dot <= 0 || dot > domain.length() - 3 || domain.contains("..") || domain.startsWith(".")) {
      throw refused("after the @ stands a domain with its ending, such as example.com");
    }
    return domain;
  }

  /** What the library says, without the address. */
  private static String plain(AddressException wrong) {
    String why = String.valueOf(wrong.getMessage());
    return why.substring(0, 1).toLowerCase(Locale.ROOT) + why.substring(1);
  }

  private static Refused refused(String why) {
    return new Refused("bad-address", why);
  }
}
