package org.opentrellis.core.live;

import java.util.List;
import org.opentrellis.core.happening.Happening;

/**
 * A turn as it was written down.
 *
 * @param edition of what was open
 * @param now when it was taken, in epoch seconds
 * @param told what became known since the turn before
 * @param quietly what became known likewise, and brought them nowhere
 * @param atOnce what became of messages at the moment at which they went out
 */
public record LoggedTurn(
    int edition,
    long now,
    List<Happening> told,
    List<Happening> quietly,
    List<Happening.OfMessage> atOnce,
    List<Deed> deeds) {
  public LoggedTurn {
    told = List.copyOf(told);
    quietly = List.copyOf(quietly);
    atOnce = List.copyOf(atOnce);
    deeds = List.copyOf(deeds);
  }
}
