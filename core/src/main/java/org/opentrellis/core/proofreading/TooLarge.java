package org.opentrellis.core.proofreading;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Some mail programs cut off what is longer than some 100 kB of HTML (common practice, no source).
 */
final class TooLarge implements MessageCheck {
  private static final int MOST = 100_000;

  @Override
  public List<MessageFinding> look(Proofreading proof) {
    return proof.bytes().isEmpty() || proof.bytes().getAsInt() <= MOST
        ? List.of()
        : List.of(
            MessageFinding.warning(
                "too-large",
                Optional.empty(),
                String.format(
                    Locale.ROOT,
                    "It has %.0f kB of HTML; some mail programs cut off what is behind the first %d kB, the footer too.",
                    proof.bytes().getAsInt() / 1000.0,
                    MOST / 1000)));
  }
}
