package org.opentrellis.core.live;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.StepId;

/**
 * Lives a life once more by what was written down of it, and says what comes out otherwise: a
 * machine that means something else by a step than it did, or a log that something is missing from.
 */
public final class Relived {
  private final LiveTurn turns;
  private final List<String> differences = new ArrayList<>();

  private Relived(LiveTurn turns) {
    this.turns = turns;
  }

  /**
   * @param begun as they stood before the first turn
   * @param standing as they stand now
   * @return a sentence for each difference, in order; none if there is none
   */
  public static List<String> differences(
      Life begun, List<LoggedTurn> log, Life standing, LiveTurn turns) {
    Relived relived = new Relived(turns);
    relived.live(begun, log, standing);
    return relived.differences;
  }

  private void live(Life begun, List<LoggedTurn> log, Life standing) {
    Life life = begun;
    for (LoggedTurn turn : log) {
      LiveTurn.Done done =
          turns.take(
              life,
              turn.edition(),
              turn.told(),
              turn.quietly(),
              turn.now(),
              turn.lots(),
              turn.answers());
      compare(turn, done.deeds());
      life = done.life();
    }
    if (differences.isEmpty() && !life.standing().equals(standing.standing())) {
      differences.add("They stand otherwise than what happened to them leads to.");
    }
  }

  private void compare(LoggedTurn turn, List<Deed> now) {
    List<Deed> then = turn.deeds();
    for (int n = 0; n < Math.max(then.size(), now.size()); n++) {
      Optional<Deed> was = n < then.size() ? Optional.of(then.get(n)) : Optional.empty();
      Optional<Deed> is = n < now.size() ? Optional.of(now.get(n)) : Optional.empty();
      if (!was.equals(is)) {
        differences.add(
            "In the turn of %s was %s, now %s."
                .formatted(Instant.ofEpochSecond(turn.now()), said(was), said(is)));
        return;
      }
    }
  }

  private static String said(Optional<Deed> deed) {
    return deed.map(
            one ->
                "%s at %s in \u201c%s\u201d"
                    .formatted(
                        one.kind(),
                        one.step().map(StepId::value).orElse("the whole visit"),
                        one.journey()))
        .orElse("nothing");
  }
}
