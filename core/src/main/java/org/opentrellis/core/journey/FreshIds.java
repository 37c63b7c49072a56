package org.opentrellis.core.journey;

import java.util.HashSet;
import java.util.Set;

/** Ids that a journey does not use yet. */
public final class FreshIds {
  private final Set<String> used = new HashSet<>();

  public FreshIds(Journey journey) {
    journey.steps().flatMap(Step::ids).forEach(id -> used.add(id.value()));
  }

  /** "wait-1", or else "wait-2" and so on. */
  public StepId next(String kind) {
    int n = 1;
    while (!used.add(kind + "-" + n)) {
      n++;
    }
    return new StepId(kind + "-" + n);
  }

  /** The name itself if it is free; else one like it, such as "wait-3" for "wait-2". */
  public StepId orNext(String name) {
    return used.add(name) ? new StepId(name) : next(name.replaceFirst("-\\d+$", ""));
  }
}
