package org.opentrellis.core.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Way;

/**
 * Moves a visit into a later version of its journey, by step id.
 *
 * <ul>
 *   <li>Whoever stands at a step that is there as it was goes on waiting there as they did.
 *   <li>Whoever waits at a step that has changed waits as if it had been so when they got there,
 *       but is not done before now.
 *   <li>Whoever stands at a step that is gone gets now to what came after it: the next step of the
 *       old plan, in its sequence or behind the branch around it, that is still there. If there is
 *       none they are through.
 * </ul>
 *
 * What was sent by steps that are gone stays known, but no question can ask about it.
 */
final class Moving {
  private Moving() {}

  /**
   * @param visit one that is not over
   * @param now the present of its person
   */
  static VisitState move(VisitState visit, Program from, Program to, long now) {
    StepId here = visit.step().orElseThrow();
    int node = to.nodeOf(here);
    if (node == Program.END) {
      Optional<StepId> next =
          after(here, from.journey().body(), List.of()).orElse(List.of()).stream()
              .filter(step -> to.nodeOf(step) != Program.END)
              .findFirst();
      return gets(visit, to, next, now);
    }
    boolean same = from.steps().get(from.nodeOf(here)).equals(to.steps().get(node));
    if (same || !visit.waiting()) {
      return visit.at(to.version(), visit.step(), visit.waiting(), visit.until(), visit.at());
    }
    return switch (to.nodes()[node]) {
      case Node.Send send -> waits(visit, to, now);
      case Node.Wait wait -> waits(visit, to, VisitState.ANEW);
      case Node.WaitFor wait -> waits(visit, to, VisitState.ANEW);
      case Node.Branch branch -> waits(visit, to, VisitState.ANEW);
      case Node.Split split -> gets(visit, to, visit.step(), now);
      case Node.Change change -> gets(visit, to, visit.step(), now);
      case Node.HandOver over -> gets(visit, to, visit.step(), now);
      case Node.Pass pass -> gets(visit, to, visit.step(), now);
      case Node.Finish finish -> gets(visit, to, visit.step(), now);
    };
  }

  private static VisitState waits(VisitState visit, Program to, long until) {
    return visit.at(to.version(), visit.step(), true, until, visit.at());
  }

  /** They get to a step now, or are through. */
  private static VisitState gets(VisitState visit, Program to, Optional<StepId> step, long now) {
    return visit.at(to.version(), step, false, visit.until(), now);
  }

  /**
   * What comes after a step, in order: the rest of its sequence, then what is behind it.
   *
   * @return empty if the step is not in the sequence
   */
  private static Optional<List<StepId>> after(
      StepId step, List<Step> sequence, List<StepId> behind) {
    for (int i = 0; i < sequence.size(); i++) {
      List<StepId> rest = new ArrayList<>();
      sequence.subList(i + 1, sequence.size()).forEach(one -> rest.add(one.id()));
      rest.addAll(behind);
      if (sequence.get(i).id().equals(step)) {
        return Optional.of(rest);
      }
      for (Way way : sequence.get(i).ways()) {
        Optional<List<StepId>> inside = after(step, way.steps(), rest);
        if (inside.isPresent()) {
          return inside;
        }
      }
    }
    return Optional.empty();
  }
}
