package org.opentrellis.core.compare;

import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.opentrellis.core.measure.ChainMeasures;

/** Trying again gets at least {@value #LEAST} more of the people to open, read as one. */
final class SecondTryLifts implements StandOutRule {
  private static final double LEAST = 0.02;

  @Override
  public List<StandOut> find(ComparedJourney side, int place) {
    return side.measures().chains().stream()
        .filter(chain -> chain.lift() != null && chain.lift().value() >= LEAST)
        .map(chain -> told(side, place, chain))
        .toList();
  }

  private static StandOut told(ComparedJourney side, int place, ChainMeasures chain) {
    String first = chain.steps().get(0);
    String tries = chain.steps().size() == 2 ? "once" : chain.steps().size() - 1 + " times";
    double lift = Objects.requireNonNull(Objects.requireNonNull(chain.lift()).value());
    return new StandOut(
        "second-try-lifts",
        "%s: trying \u201c%s\u201d again %s raises the share who open it in the end from %s to %s, for %s more emails each."
            .formatted(
                side.quoted(),
                side.nameOf(first),
                tries,
                Judge.percent(chain.openedFirst().value()),
                Judge.percent(chain.openedAny().value()),
                String.format(Locale.ROOT, "%.2f", chain.moreEmails())),
        place,
        chain.steps().get(1),
        Compared.OPENED,
        50 + 100 * lift);
  }
}
