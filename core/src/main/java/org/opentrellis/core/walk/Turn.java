package org.opentrellis.core.walk;

/**
 * One line of the diary.
 *
 * @param at epoch seconds
 * @param journey the journey's number in the world
 * @param visit how many times the person had entered it before
 * @param step the node, or -1 for none
 * @param kind what happened
 * @param detail which arm, or which reason, by its number; 0 where there is none
 */
public record Turn(long at, int journey, int visit, int step, Kind kind, int detail) {

  /** What can happen. */
  public enum Kind {
    ENTERED_JOURNEY,
    KEPT_OUT_BY_FILTER,
    MAY_NOT_ENTER_AGAIN,
    GOT_TO,
    HELD,
    SENT,
    SKIPPED,
    TOOK,
    WENT_ON,
    LEFT,
    FINISHED,
    STILL_THERE
  }
}
