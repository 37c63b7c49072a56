package org.opentrellis.core.forecast;

import java.util.Optional;
import org.opentrellis.core.journey.StepId;

/**
 * Which figure of a journey.
 *
 * @param step that it is told of; empty for the whole journey
 * @param day since entry by whose end it is told, from 0; -1 for the whole time
 */
public record Place(About about, Optional<StepId> step, int day) {

  /** What is told; of a step down to {@link #UNSUBSCRIBED_BY}, then of the whole journey. */
  public enum About {
    /** Who got to the step, of those who entered. */
    GOT_TO,
    /** Of those sent. */
    DELIVERED,
    /** Recorded opens, of those delivered. */
    OPENED,
    /** Of those delivered. */
    CLICKED,
    /** Because of this message, of those delivered. */
    UNSUBSCRIBED_BY,
    /** Of those who entered, as are all below. */
    GOAL,
    BOUGHT,
    UNSUBSCRIBED,
    FINISHED,
    LEFT
  }

  static Place of(About about, StepId step) {
    return new Place(about, Optional.of(step), -1);
  }

  static Place of(About about) {
    return new Place(about, Optional.empty(), -1);
  }

  static Place byDay(int day) {
    return new Place(About.GOAL, Optional.empty(), day);
  }
}
