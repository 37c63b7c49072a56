package org.opentrellis.core.behaviour;

/** Where an assumed value comes from. */
public enum Origin {
  /** A usual value of the trade: common practice, no source. */
  TYPICAL,
  /** The user set it. */
  BY_HAND,
  /** Fitted to what happened. */
  MEASURED
}
