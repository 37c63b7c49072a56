package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.journey.Way;

/** Steps that nobody gets to, since everybody is through before. */
final class StepsBehindFinish implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    List<Finding> findings = new ArrayList<>();
    look(context.expanded().body(), context, findings);
    return findings;
  }

  private static void look(List<Step> steps, CheckContext context, List<Finding> findings) {
    boolean over = false;
    for (int i = 0; i < steps.size(); i++) {
      if (over) {
        findings.add(finding(steps.subList(i, steps.size()), context));
        return;
      }
      Step step = steps.get(i);
      for (Way way : step.ways()) {
        look(way.steps(), context, findings);
      }
      over = SentBefore.ends(step);
    }
  }

  private static Finding finding(List<Step> dead, CheckContext context) {
    long count = dead.stream().flatMap(Step::all).count();
    Finding finding =
        Findings.error(
            "steps-behind-finish",
            dead.get(0).id(),
            "Nobody gets here: everybody has finished or left before. %s."
                .formatted(count == 1 ? "1 step is lost" : count + " steps are lost"));
    if (!dead.stream().allMatch(context::own)) {
      return finding;
    }
    Journey mended = context.journey();
    for (Step step : dead) {
      mended = StepEdits.replace(mended, step.id(), gone -> List.of());
    }
    return Findings.fixedBy(finding, count == 1 ? "Remove it" : "Remove them", mended);
  }
}
