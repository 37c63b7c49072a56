package org.opentrellis.core.arrange;

import java.util.List;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;

/** What became of an arrangement. */
public sealed interface Arranged {

  /**
   * @param journey after it
   * @param steps the steps it was about, as they are afterwards; those that were taken out, as they
   *     were
   */
  record Done(Journey journey, List<Step> steps) implements Arranged {}

  /**
   * Nothing was changed.
   *
   * @param why a sentence
   */
  record Refused(String why) implements Arranged {}
}
