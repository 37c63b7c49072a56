package org.opentrellis.core.journey;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * Finds emails that are tried again: one that goes only to people who did not open an earlier one,
 * because it is sent only then, or because it is the first email on an arm that they take.
 */
public final class Tries {
  private final Map<StepId, StepId> triedAgainBy = new LinkedHashMap<>();
  private final Map<StepId, Integer> order = new HashMap<>();

  private Tries() {}

  /**
   * The chains of a journey, each with its first try first; an email belongs to one chain at most.
   *
   * @param expanded with the steps of its strands in place
   */
  public static List<List<StepId>> of(Journey expanded) {
    Tries tries = new Tries();
    expanded.emails().forEach(email -> tries.order.put(email.id(), tries.order.size()));
    tries.look(expanded.body(), Set.of());
    List<List<StepId>> chains = new ArrayList<>();
    for (StepId first : tries.triedAgainBy.keySet()) {
      if (!tries.triedAgainBy.containsValue(first)) {
        chains.add(tries.from(first));
      }
    }
    return chains;
  }

  private List<StepId> from(StepId first) {
    List<StepId> chain = new ArrayList<>();
    for (StepId next = first; next != null; next = triedAgainBy.get(next)) {
      chain.add(next);
    }
    return chain;
  }

  /**
   * @param unopened what everybody who comes here has not opened
   */
  private void look(List<Step> steps, Set<StepId> unopened) {
    Set<StepId> here = unopened;
    for (Step step : steps) {
      here =
          switch (step) {
            case Step.SendEmail email -> afterEmail(email, here);
            case Step.Branch branch -> throughArms(branch, here);
            case Step.SplitTest split -> throughLots(split, here);
            case Step.SendText text -> here;
            case Step.Wait wait -> here;
            case Step.Change change -> here;
            case Step.Include include -> here;
            case Step.HandOver over -> here;
            case Step.Notify notify -> here;
            case Step.Finish finish -> here;
          };
    }
  }

  private Set<StepId> afterEmail(Step.SendEmail email, Set<StepId> unopened) {
    Set<StepId> before = new TreeSet<>(this::inOrder);
    before.addAll(unopened);
    email.onlyIf().ifPresent(only -> before.addAll(deniedBy(only)));
    note(before, email.id());
    return Set.of();
  }

  private Set<StepId> throughArms(Step.Branch branch, Set<StepId> unopened) {
    Set<StepId> denied = new TreeSet<>(this::inOrder);
    denied.addAll(unopened);
    for (Arm arm : branch.arms()) {
      look(arm.steps(), deniedBy(arm.condition()));
      denied.addAll(opensAskedBy(arm.condition()));
    }
    look(branch.otherwise().steps(), denied);
    return unopened;
  }

  private Set<StepId> throughLots(Step.SplitTest split, Set<StepId> unopened) {
    split.ways().forEach(way -> look(way.steps(), unopened));
    return unopened;
  }

  private int inOrder(StepId one, StepId two) {
    return Integer.compare(order.getOrDefault(one, -1), order.getOrDefault(two, -1));
  }

  /** A later try follows the last of those that were not opened, unless that one is followed. */
  private void note(Set<StepId> unopened, StepId email) {
    StepId last = null;
    for (StepId one : unopened) {
      last = order.containsKey(one) && inOrder(one, email) < 0 ? one : last;
    }
    if (last != null) {
      triedAgainBy.putIfAbsent(last, email);
    }
  }

  /** What nobody for whom a condition holds has opened. */
  private static Set<StepId> deniedBy(Condition condition) {
    Set<StepId> denied = new HashSet<>();
    if (condition instanceof Condition.None none) {
      none.parts().forEach(one -> denied.addAll(opensAskedBy(one)));
    } else if (condition instanceof Condition.All all) {
      all.parts().forEach(one -> denied.addAll(deniedBy(one)));
    }
    return denied;
  }

  /** The emails that a condition surely holds for, once they are opened. */
  private static Set<StepId> opensAskedBy(Condition condition) {
    Set<StepId> asked = new HashSet<>();
    if (condition instanceof Condition.Opened opened
        && opened.email() instanceof EmailRef.OfStep step) {
      asked.add(step.step());
    } else if (condition instanceof Condition.Any any) {
      any.parts().forEach(one -> asked.addAll(opensAskedBy(one)));
    }
    return asked;
  }
}
