package org.opentrellis.app.messages;

import java.util.List;

/**
 * A save of a message, told by what it changed.
 *
 * @param at in epoch seconds
 * @param changes against the save before
 */
record MessageVersionLine(int version, String name, long at, List<MessageChange> changes) {

  /**
   * @param added whether the line is new; else it is gone
   */
  record MessageChange(boolean added, String line) {}
}
