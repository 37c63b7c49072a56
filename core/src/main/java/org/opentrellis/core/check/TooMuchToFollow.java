package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Way;

/** A journey that nobody can follow any more: too deep, or too long. */
final class TooMuchToFollow implements Check {
  private static final int DEEP = 3;
  private static final int LONG = 100;

  @Override
  public List<Finding> look(CheckContext context) {
    List<Finding> findings = new ArrayList<>();
    long steps = context.expanded().steps().count();
    if (steps > LONG) {
      findings.add(
          Findings.warning(
              "too-long",
              "The journey has %d steps, more than anybody can follow. Hand people over to a second "
                      .formatted(steps)
                  + "journey, or share a strand."));
    }
    List<StepId> deep = new ArrayList<>();
    look(context.expanded().body(), 1, deep);
    if (!deep.isEmpty()) {
      findings.add(
          Findings.warning(
              "too-deep",
              deep.get(0),
              "Branches stand more than %d deep here. Hand people over to another journey, or ask "
                      .formatted(DEEP)
                  + "one question less."));
    }
    return findings;
  }

  private static void look(List<Step> steps, int depth, List<StepId> deep) {
    for (Step step : steps) {
      if (!step.ways().isEmpty() && depth > DEEP) {
        deep.add(step.id());
      }
      for (Way way : step.ways()) {
        look(way.steps(), depth + 1, deep);
      }
    }
  }
}
