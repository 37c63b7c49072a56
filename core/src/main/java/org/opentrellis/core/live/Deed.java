package org.opentrellis.core.live;

import java.util.Optional;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.StepId;

/**
 * Something that the machine did with somebody, by the names that journeys have for good.
 *
 * @param at epoch seconds
 * @param visit how many times they had entered the journey before
 * @param step empty for what is about the visit as a whole
 * @param detail by the kind: the way that was taken, from 0; the variant of a message; why somebody
 *     left or got nothing; which secondary goal was met, from 0. Empty where there is nothing to
 *     say
 */
public record Deed(
    long at,
    Kind kind,
    JourneyName journey,
    int version,
    int visit,
    Optional<StepId> step,
    Optional<String> detail) {

  /** What the machine can do. */
  public enum Kind {
    ENTERED,
    /** The entry filter kept them out. */
    KEPT_OUT,
    /** They may not enter again. */
    TURNED_AWAY,
    /** A lot was drawn, of a split test or of the variants of a message. */
    LOT_DRAWN,
    WENT_WAY,
    SENT,
    /** A message that had to wait goes out at last. */
    HELD_BACK,
    /** They went past a message without getting it. */
    SKIPPED,
    RECORD_CHANGED,
    HANDED_OVER,
    TEAM_TOLD,
    GOAL_MET,
    SECONDARY_GOAL_MET,
    LEFT,
    FINISHED
  }
}
