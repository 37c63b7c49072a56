package org.opentrellis.app.firststeps;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How far somebody is who is new here.
 *
 * @param putAway whether they want to see them no more
 * @param steps in the order in which one takes them
 * @param journey the one that was saved last, for steps that need one; null if there is none
 */
record FirstStepsView(boolean putAway, List<FirstStep> steps, @Nullable Long journey) {

  /** What is done. */
  enum Kind {
    PEOPLE,
    MESSAGE,
    JOURNEY,
    DRY_RUN,
    TRYOUT,
    OPEN
  }

  record FirstStep(Kind step, boolean done) {}

  record PutAway(boolean putAway) {}
}
