package org.opentrellis.core.proofreading;

import java.util.List;

/** One rule that a message should keep. */
interface MessageCheck {
  /** Everything in the message that breaks the rule, in the order of reading. */
  List<MessageFinding> look(Proofreading proof);
}
