package org.opentrellis.core.compare;

import java.util.List;
import java.util.Objects;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.measure.StepMeasures;

/** At least {@value #LEAST} of those who get an email had met the goal before. */
final class MailAfterGoal implements StandOutRule {
  private static final double LEAST = 0.02;

  @Override
  public List<StandOut> find(ComparedJourney side, int place) {
    return side.messages().stream()
        .filter(step -> after(step).value() != null && after(step).value() >= LEAST)
        .map(
            step ->
                new StandOut(
                    "mail-after-goal",
                    "%s: %s of those who get \u201c%s\u201d had met the goal before (%,d people): let people leave when they meet it."
                        .formatted(
                            side.quoted(),
                            Judge.percent(after(step).value()),
                            side.nameOf(step.id()),
                            after(step).count()),
                    place,
                    step.id(),
                    Compared.REACHED,
                    65 + 100 * Objects.requireNonNull(after(step).value())))
        .toList();
  }

  private static Share after(StepMeasures step) {
    return step.email() == null ? Share.of(0, 0) : step.email().afterGoal();
  }
}
