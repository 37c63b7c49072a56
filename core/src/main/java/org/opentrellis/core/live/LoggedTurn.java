package org.opentrellis.core.live;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.replay.Replay;

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

  /** Lots fall as they fell then; one that nobody wrote down falls the first way. */
  Replay.Lots lots() {
    return (step, ways, visit) ->
        deeds.stream()
            .filter(deed -> deed.kind() == Deed.Kind.LOT_DRAWN && isOf(deed, visit, step))
            .findFirst()
            .flatMap(Deed::detail)
            .map(Integer::parseInt)
            .orElse(0);
  }

  private static boolean isOf(Deed deed, Visit visit, int step) {
    return deed.journey().equals(visit.program().name())
        && deed.visit() == visit.number()
        && deed.step().equals(Optional.of(visit.program().steps().get(step).id()));
  }

  /** What the mail server said then. */
  LiveTurn.MailServer answers() {
    return (message, at) ->
        atOnce.stream().filter(one -> one.message().equals(message) && one.at() == at).toList();
  }
}
