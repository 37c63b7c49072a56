package org.opentrellis.core.journey;

import java.util.ArrayList;
import java.util.List;

/** What may have been sent when somebody gets to a row of the run sheet. */
public final class SentAbove {
  private SentAbove() {}

  /**
   * Collects the sends above a row, in order; those of arms beside its own are not among them.
   *
   * @param row a step, which counts as above if it sends something itself, or an arm
   * @return whether the row was found
   */
  public static boolean collect(List<Step> steps, String row, List<Step.Send> above) {
    for (Step step : steps) {
      if (step instanceof Step.Send send) {
        above.add(send);
      }
      if (step.id().value().equals(row)) {
        return true;
      }
      int before = above.size();
      for (Way way : step.ways()) {
        List<Step.Send> outside = List.copyOf(above.subList(0, before));
        List<Step.Send> inside = new ArrayList<>(outside);
        if (way.id().value().equals(row) || collect(way.steps(), row, inside)) {
          above.clear();
          above.addAll(inside);
          return true;
        }
        above.addAll(inside.subList(before, inside.size()));
      }
    }
    return false;
  }
}
