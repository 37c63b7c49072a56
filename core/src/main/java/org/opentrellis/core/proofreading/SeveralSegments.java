package org.opentrellis.core.proofreading;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.TextSegments;
import org.opentrellis.core.message.Manuscript;

/** A text of several segments is paid for several times. */
final class SeveralSegments implements MessageCheck {
  @Override
  public List<MessageFinding> look(Proofreading proof) {
    if (!(proof.manuscript() instanceof Manuscript.Text)) {
      return List.of();
    }
    int segments = TextSegments.of(proof.longest());
    return segments < 2
        ? List.of()
        : List.of(
            MessageFinding.warning(
                "several-segments",
                Optional.empty(),
                "With the longest values it has %d characters and goes in %d segments%s."
                    .formatted(proof.longest().length(), segments, price(segments, proof))));
  }

  private static String price(int segments, Proofreading proof) {
    return proof
        .segmentPrice()
        .map(
            price ->
                ": %s instead of %s each"
                    .formatted(
                        proof.head().regional().price(segments * price),
                        proof.head().regional().price(price)))
        .orElse("");
  }
}
