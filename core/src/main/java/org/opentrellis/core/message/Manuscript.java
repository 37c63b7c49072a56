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
   * @param plain what stands in the plain text in the place of the parts, if it was written by hand
   * @param style where it looks other than the house does
   */
  record Email(
      OneLine subject,
      OneLine preview,
      Optional<String> sender,
      List<Part> parts,
      Optional<ByHand> plain,
      StyleChange style)
      implements Manuscript {
    private static final int MOST_PARTS = 300;

    public Email {
      parts = List.copyOf(parts);
      List<PartId> ids = written(parts, plain).map(Part::id).toList();
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
    }

    /** The same with another subject or preview text, where one is said. */
    public Email saying(Optional<String> otherSubject, Optional<String> otherPreview) {
      return new Email(
          otherSubject.map(OneLine::of).orElse(subject),
          otherPreview.map(OneLine::of).orElse(preview),
          sender,
          parts,
          plain,
          style);
    }

    /** All parts, those inside of others too, in the order of reading. */
    public Stream<Part> allParts() {
      return parts.stream().flatMap(Part::all);
    }

    /** The same, and the plain text behind them, if it was written by hand. */
    public Stream<Part> written() {
      return written(parts, plain);
    }

    private static Stream<Part> written(List<Part> parts, Optional<ByHand> plain) {
      return Stream.concat(parts.stream().flatMap(Part::all), plain.stream().map(ByHand::part));
    }

    public Email withPlain(Optional<ByHand> other) {
      return new Email(subject, preview, sender, parts, other, style);
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
