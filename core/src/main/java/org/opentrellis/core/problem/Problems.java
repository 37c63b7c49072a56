package org.opentrellis.core.problem;

import java.util.ArrayList;
import java.util.List;

/** Collects problems while an input is read, to be thrown all at once at the end. */
public final class Problems {
  private final List<Problem> found = new ArrayList<>();

  public void add(String code, String place, String sentence) {
    found.add(new Problem(code, place, sentence));
  }

  /**
   * @throws ProblemsFound if anything was added
   */
  public void throwIfAny() {
    if (!found.isEmpty()) {
      throw new ProblemsFound(found);
    }
  }
}
