package org.opentrellis.core.machine;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;

/** A condition that depends on nothing but what one visit of a {@link PlainProgram} knows. */
public sealed interface PlainQuestion {

  record Fixed(boolean answer) implements PlainQuestion {}

  /** What became of an email. */
  enum What {
    DELIVERED,
    BOUNCED,
    OPENED,
    OPENED_BY_PEOPLE,
    CLICKED
  }

  /**
   * @param send which, or -1 for any
   * @param last how many of the last sends count, if it is any
   * @param linkSlots by send, the slot of the one link that counts (-1 where it is not in); null
   *     for any link
   * @param within how soon after it was sent, or null for whenever
   */
  record Email(What what, int send, int last, int @Nullable [] linkSlots, @Nullable Amount within)
      implements PlainQuestion {
    /** Whether one email is asked about, and nothing but what became of it. */
    public boolean isPlain() {
      return send >= 0 && linkSlots == null && within == null;
    }
  }

  /** A purchase since entry. */
  record Bought(Question.Bought what) implements PlainQuestion {
    public boolean fits(int offer, long cents) {
      return what.fits(offer, cents);
    }
  }

  /**
   * A tag or a list.
   *
   * @param label its number, below 64
   */
  record Label(int label, boolean ever) implements PlainQuestion {}

  /**
   * @param answers by trigger, whether coming by it is meant
   */
  record CameBy(boolean[] answers) implements PlainQuestion {}

  /** How many parts must hold. */
  enum Quantifier {
    ALL,
    ANY,
    NONE
  }

  record Combined(Quantifier quantifier, List<PlainQuestion> parts) implements PlainQuestion {}

  /** The same question, if it is one of these. */
  static Optional<PlainQuestion> of(Question question) {
    return Optional.ofNullable(orNull(question));
  }

  private static @Nullable PlainQuestion orNull(Question question) {
    return switch (question) {
      case Question.Fixed fixed -> new Fixed(fixed.answer());
      case EmailQuestion email ->
          new Email(
              What.valueOf(email.what().name()),
              email.send(),
              email.last(),
              email.linkSlots(),
              email.within());
      case Question.Bought bought -> bought.within() == null ? new Bought(bought) : null;
      case Question.OnRecord on -> on.label() < Long.SIZE ? new Label(on.label(), on.ever()) : null;
      case Question.CameBy by -> new CameBy(by.origin() >= 0 ? new boolean[0] : by.answers());
      case Question.Combined all -> {
        List<@Nullable PlainQuestion> parts =
            Arrays.stream(all.parts()).map(PlainQuestion::orNull).toList();
        yield parts.stream().anyMatch(Objects::isNull)
            ? null
            : new Combined(Quantifier.valueOf(all.quantifier().name()), parts);
      }
      default -> null;
    };
  }
}
