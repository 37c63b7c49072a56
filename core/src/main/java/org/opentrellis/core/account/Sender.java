package org.opentrellis.core.account;

import java.util.Optional;
import java.util.regex.Pattern;
import org.opentrellis.core.journey.Text;
import org.opentrellis.core.people.EmailAddress;

/**
 * Who an email comes from.
 *
 * @param name as an inbox shows it, at most 80 characters
 * @param answersTo where answers go; empty for the address itself
 */
public record Sender(String name, EmailAddress address, Optional<EmailAddress> answersTo) {
  private static final int LONGEST = 80;

  /** Atoms with spaces between them need no quotation marks (RFC 5322, section 3.2.3; RFC 6532). */
  private static final Pattern ATOMS =
      Pattern.compile("[\\p{Alnum}!#$%&'*+/=?^_`{|}~ \\x{80}-\\x{10FFFF}-]+");

  public Sender {
    name = Text.named("a sender's name", name, LONGEST);
  }

  /** Name and address as a mail's head has them (RFC 5322, section 3.4), with all letters. */
  public String said() {
    String shown =
        ATOMS.matcher(name).matches()
            ? name
            : '"' + name.replace("\\", "\\\\").replace("\"", "\\\"") + '"';
    return "%s <%s>".formatted(shown, address);
  }
}
