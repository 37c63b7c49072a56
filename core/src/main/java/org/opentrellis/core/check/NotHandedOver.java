package org.opentrellis.core.check;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.LeaveRule;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;

/** Hands people over to a journey that does not say it takes any. */
final class NotHandedOver implements Check {
  private static final String CODE = "not-handed-over";

  @Override
  public List<Finding> look(CheckContext context) {
    Stream<Finding> byRules =
        context.journey().leaveWhen().stream()
            .map(LeaveRule::into)
            .flatMap(Optional::stream)
            .distinct()
            .filter(into -> takesNobody(into, context))
            .map(into -> Findings.warning(CODE, sentence(into)));
    Stream<Finding> bySteps =
        context.expanded().only(Step.HandOver.class).stream()
            .filter(over -> takesNobody(over.journey(), context))
            .map(over -> at(over.id(), over.journey()));
    return Stream.concat(byRules, bySteps).toList();
  }

  private static Finding at(StepId step, JourneyName to) {
    return Findings.warning(CODE, step, sentence(to));
  }

  private static boolean takesNobody(JourneyName to, CheckContext context) {
    return context.all().anyMatch(one -> one.name().equals(to) && !one.takesHandOvers());
  }

  private static String sentence(JourneyName to) {
    return ("\u201c%s\u201d does not start when someone is handed over. They enter all the same, "
            + "but nobody reads it there; add that trigger.")
        .formatted(to);
  }
}
