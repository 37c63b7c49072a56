package org.opentrellis.core.arrange;

import java.util.List;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Strand;

/** What became of an arrangement. */
public sealed interface Arranged {

  /**
   * @param journey after it
   * @param steps the steps it was about, as they are afterwards; those that were taken out, as they
   *     were
   */
  record Done(Journey journey, List<Step> steps) implements Arranged {}

  /**
   * A strand was made of steps.
   *
   * @param journey after it, which goes through the strand
   * @param steps the one that does
   * @param strand with the steps, which is yet to be kept
   */
  record Gathered(Journey journey, List<Step> steps, Strand strand) implements Arranged {}

  /**
   * Nothing was changed.
   *
   * @param why a sentence
   */
  record Refused(String why) implements Arranged {}
}
