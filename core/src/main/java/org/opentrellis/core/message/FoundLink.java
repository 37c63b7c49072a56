package org.opentrellis.core.message;

import java.util.Optional;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.PartId;

/**
 * A link as it stands in a message.
 *
 * @param name what conditions and reports call it; empty for one without words
 * @param part where it stands; empty in a text message
 */
public record FoundLink(Optional<LinkName> name, Link link, Optional<PartId> part) {
  private static final int LONGEST_NAME = 80;

  static FoundLink of(String words, Link link, Optional<PartId> part) {
    return new FoundLink(link.name().or(() -> named(words)), link, part);
  }

  private static Optional<LinkName> named(String words) {
    String name = words.replaceAll("\\s+", " ").strip();
    if (name.length() > LONGEST_NAME) {
      name =
          name.substring(0, name.offsetByCodePoints(0, LONGEST_NAME - 1 - wide(name))) + "\u2026";
    }
    return name.isEmpty() ? Optional.empty() : Optional.of(new LinkName(name));
  }

  /** How many of the first characters take two places, so that none is parted. */
  private static int wide(String name) {
    return (int)
        name.chars().limit(LONGEST_NAME).filter(c -> Character.isHighSurrogate((char) c)).count();
  }
}
