package org.opentrellis.core.check;

import java.util.List;

/** One rule that a journey should keep. */
interface Check {
  /** Everything in the journey that breaks the rule, in the order of the run sheet. */
  List<Finding> look(CheckContext context);
}
