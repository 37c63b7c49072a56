package org.opentrellis.app.pressure;

import java.util.List;
import org.opentrellis.core.journey.Purpose;

/**
 * What the account finds enough for one person.
 *
 * @param emailsPerWeek within any seven days
 * @param then what becomes of what is too much
 * @param order which purposes go first
 * @param says the same as a sentence
 * @param version to be given back with a change
 */
record PressureView(int emailsPerWeek, Enough then, List<Purpose> order, String says, int version) {

  /** What becomes of what is too much. */
  enum Enough {
    /** It goes out, and is only told. */
    TELL,
    WAIT,
    LEAVE_OUT
  }

  /**
   * What is to be found enough.
   *
   * @param version that was looked at; a trial takes any
   */
  record PressureOrder(int emailsPerWeek, Enough then, List<Purpose> order, int version) {}

  /**
   * What came of a trial.
   *
   * @param journeys and newsletters that people went through together
   */
  record PressureTried(List<String> journeys, List<String> says) {}
}
