package org.opentrellis.core.proofreading;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.message.Part;

/** A countdown counts to a moment that is still to come, and says so without its picture. */
final class CountdownOver implements MessageCheck {
  @Override
  public List<MessageFinding> look(Proofreading proof) {
    return proof.parts(Part.Countdown.class).stream()
        .flatMap(one -> wrong(one, proof).map(sentence -> finding(one, sentence)).stream())
        .toList();
  }

  private static MessageFinding finding(Part.Countdown one, String sentence) {
    return MessageFinding.error("countdown-over", Optional.of(one.id()), sentence);
  }

  private static Optional<String> wrong(Part.Countdown one, Proofreading proof) {
    if (one.until().isEmpty()) {
      return Optional.of("The countdown leads to no moment yet.");
    }
    if (one.until().get().toLocalDate().isBefore(proof.today())) {
      return Optional.of(
          "The countdown ended on %s: it shows nothing but that it is over."
              .formatted(one.until().get().toLocalDate()));
    }
    return one.words().isBlank()
        ? Optional.of("The countdown has no words: whoever sees no pictures learns nothing of it.")
        : Optional.empty();
  }
}
