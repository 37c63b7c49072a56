package org.opentrellis.core.machine;

/** Why somebody left a journey before its end; at one instant the first of these counts. */
public enum LeaveReason {
  ERASED,
  UNSUBSCRIBED,
  COMPLAINED,
  BOUNCED,
  GOAL_MET,
  /** A leave rule of the journey held. */
  RULE,
  /** Somebody took them out by hand. */
  TAKEN_OUT,
  /** The journey was stopped. */
  STOPPED;

  /** Whether somebody wanted them out, not the journey's own plan. */
  public boolean byHand() {
    return switch (this) {
      case ERASED, UNSUBSCRIBED, COMPLAINED, TAKEN_OUT, STOPPED -> true;
      case BOUNCED, GOAL_MET, RULE -> false;
    };
  }
}
