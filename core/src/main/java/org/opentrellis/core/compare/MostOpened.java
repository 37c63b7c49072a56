package org.opentrellis.core.compare;

import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.measure.StepMeasures;

/**
 * An email that is not the first is opened most, and its 95% interval lies above the next best's.
 */
final class MostOpened implements StandOutRule {

  @Override
  public List<StandOut> find(ComparedJourney side, int place) {
    List<StepMeasures> byOpens =
        side.messages().stream()
            .filter(step -> step.email() != null && step.email().opened().value() != null)
            .sorted(
                Comparator.comparingDouble((StepMeasures step) -> opened(step).value()).reversed())
            .toList();
    if (byOpens.size() < 2) {
      return List.of();
    }
    StepMeasures best = byOpens.get(0);
    StepMeasures next = byOpens.get(1);
    boolean first = side.messages().get(0).id().equals(best.id());
    if (first || opened(best).low() <= opened(next).high()) {
      return List.of();
    }
    return List.of(
        new StandOut(
            "most-opened",
            "%s: \u201c%s\u201d is opened most, by %s of those who get it; the next is \u201c%s\u201d with %s."
                .formatted(
                    side.quoted(),
                    side.nameOf(best.id()),
                    Judge.percent(opened(best).value()),
                    side.nameOf(next.id()),
                    Judge.percent(opened(next).value())),
            place,
            best.id(),
            Compared.OPENED,
            30));
  }

  private static Share opened(StepMeasures step) {
    return Objects.requireNonNull(step.email()).opened();
  }
}
