package org.opentrellis.core.machine;

/** Why somebody went past a send without getting anything. */
public enum SkipReason {
  /** Its "only send if" did not hold. */
  CONDITION,
  /** They have had the message before. */
  HAD_BEFORE,
  /** The frequency guard said that it is enough. */
  FREQUENCY_GUARD,
  /** The account finds that it is enough for one person. */
  NO_ROOM,
  /** They did not agree to get texts. */
  NO_CONSENT
}
