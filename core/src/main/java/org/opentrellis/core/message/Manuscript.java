package org.opentrellis.core.message;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.problem.Refused;

/** A message as it is written. What is missing may be missing: {@code proofreading} says so. */
public sealed interface Manuscript permits Manuscript.Email, Manuscript.Text {

  /** How it reaches people. */
  default Channel channel() {
    return switch (this) {
      case Email email -> Channel.EMAIL;
      case Text text -> Channel.TEXT;
    };
  }

  /**
   * @param preview what inboxes show behind the subject
   * @param sender the address of a sender of the account; empty for the first
   * @param parts no two of one id
   * @param plain the plain text, if it was written by hand
   * @param style where it looks other than the house does
   */
  record Email(
      OneLine subject,
      OneLine preview,
      Optional<String> sender,
      List<Part> parts,
      Optional<String> plain,
      StyleChange style)
      implements Manuscript {
    private static final int MOST_PARTS = 300;
    private static final int LONGEST_PLAIN = 100_000;

    public Email {
      parts = List.copyOf(parts);
      List<PartId> ids = parts.stream().flatMap(Part::all).map(Part::id).toList();
      if (ids.size() > MOST_PARTS) {
        throw new Refused(
            "a message has at most %d parts, not %d".formatted(MOST_PARTS, ids.size()));
      }
      Set<PartId> seen = new HashSet<>();
      for (PartId id : ids) {
        if (!seen.add(id)) {
          throw new Refused("two parts have the id \u201c" + id + "\u201d");
        }
      }
      if (plain.isPresent() && plain.get().length() > LONGEST_PLAIN) {
        throw new Refused("a plain text has at most %,d characters".formatted(LONGEST_PLAIN));
      }
    }

    /** All parts, those inside of others too, in the order of reading. */
    public Stream<Part> allParts() {
      return parts.stream().flatMap(Part::all);
    }

    public Email with(List<Part> others) {
      return new Email(subject, preview, sender, others, plain, style);
    }

    public Email withSubject(OneLine other) {
      return new Email(other, preview, sender, parts, plain, style);
    }

    public Email withStyle(StyleChange other) {
      return new Email(subject, preview, sender, parts, plain, other);
    }

    public Email withSender(Optional<String> other) {
      return new Email(subject, preview, other, parts, plain, style);
    }

    public Email withPreview(OneLine other) {
      return new Email(subject, other, sender, parts, plain, style);
    }
  }

  /**
   * A text message.
   *
   * @param voucher whether it gives something off
   */
  record Text(OneLine words, boolean voucher, List<Part.RowLink> links) implements Manuscript {
    public Text {
      links = List.copyOf(links);
    }
  }
}
