package org.opentrellis.core.journey;

/** How a message reaches people. */
public enum Channel {
  EMAIL,
  TEXT
}
