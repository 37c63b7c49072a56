package org.opentrellis.core.message;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Operand;

/** Whoever gets a message, as far as a message asks. */
public interface Recipient {
  /**
   * @return words, a number or a date; empty if nothing is known
   */
  Optional<Operand> value(Source source);

  /** Whether a passage is for them. */
  boolean holds(Condition who);

  /** What the shop sells that is to be shown to them. */
  List<ProductShown> products(Shown which);

  /** What is new for them. */
  List<NewsEntry> news();
}
