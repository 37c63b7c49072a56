package org.opentrellis.core.journey;

/** Whether somebody who triggers a journey again may enter it again. */
public enum ReEntry {
  NEVER,
  AFTER_HAVING_LEFT
}
