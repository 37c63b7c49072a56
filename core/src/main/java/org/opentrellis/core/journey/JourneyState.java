package org.opentrellis.core.journey;

/** Whether people enter a journey, and what becomes of those inside. */
public enum JourneyState {
  /** Being designed; nobody enters. */
  DRAFT,
  /** People enter. */
  OPEN,
  /** Nobody new enters; those inside go on to the end. */
  CLOSING,
  /** Nobody enters; those inside leave now. */
  STOPPED
}
