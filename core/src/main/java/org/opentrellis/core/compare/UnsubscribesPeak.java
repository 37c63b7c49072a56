package org.opentrellis.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.measure.StepMeasures;
import org.opentrellis.core.stats.Holm;
import org.opentrellis.core.stats.TwoShares;

/**
 * An email drives away at least {@value #TIMES} times as many as the run's others together, by more
 * than chance among all its emails (Holm).
 */
final class UnsubscribesPeak implements StandOutRule {
  private static final double TIMES = 1.5;

  @Override
  public List<StandOut> find(ComparedJourney side, int place) {
    List<StepMeasures> emails =
        side.messages().stream()
            .filter(step -> step.email() != null && step.email().unsubscribed().of() > 0)
            .toList();
    long count = emails.stream().mapToLong(step -> of(step).count()).sum();
    long all = emails.stream().mapToLong(step -> of(step).of()).sum();
    double[] p = new double[emails.size()];
    List<Share> others = new ArrayList<>();
    for (int i = 0; i < p.length; i++) {
      Share own = of(emails.get(i));
      Share rest = Share.of(count - own.count(), all - own.of());
      others.add(rest);
      p[i] =
          rest.of() == 0 ? 1 : TwoShares.pValue(TwoShares.z(own.proportion(), rest.proportion()));
    }
    double[] adjusted = Holm.adjust(p);
    List<StandOut> found = new ArrayList<>();
    for (int i = 0; i < p.length; i++) {
      Share own = of(emails.get(i));
      Share rest = others.get(i);
      if (adjusted[i] <= Judge.ALPHA && own.value() >= TIMES * rest.value()) {
        found.add(told(side, place, emails.get(i), own, rest));
      }
    }
    return found;
  }

  private static StandOut told(
      ComparedJourney side, int place, StepMeasures step, Share own, Share rest) {
    return new StandOut(
        "unsubscribes-peak",
        "%s: \u201c%s\u201d drives away %s of those who get it, against %s by the other emails."
            .formatted(
                side.quoted(), side.nameOf(step.id()), fine(own.value()), fine(rest.value())),
        place,
        step.id(),
        Compared.UNSUBSCRIBED,
        55);
  }

  private static String fine(@org.jspecify.annotations.Nullable Double share) {
    return share == null ? "none yet" : String.format(Locale.ROOT, "%.2f%%", 100 * share);
  }

  private static Share of(StepMeasures step) {
    return Objects.requireNonNull(step.email()).unsubscribed();
  }
}
