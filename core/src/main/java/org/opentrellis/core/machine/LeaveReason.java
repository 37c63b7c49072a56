package org.opentrellis.core.machine;

/** Why somebody left a journey before its end. */
public enum LeaveReason {
  GOAL_MET,
  UNSUBSCRIBED,
  BOUNCED
}
