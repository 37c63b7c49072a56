package org.opentrellis.core.newsletter;

import java.util.Optional;
import org.opentrellis.core.journey.Condition;

/** Who gets a newsletter, of those who may be mailed. */
public sealed interface Readers permits Readers.Everybody, Readers.Those {

  record Everybody() implements Readers {}

  /**
   * @param who a question that outside of any journey can be asked
   */
  record Those(Condition who) implements Readers {}

  /** What is asked of them; nothing of everybody. */
  default Optional<Condition> asked() {
    return switch (this) {
      case Everybody all -> Optional.empty();
      case Those those -> Optional.of(those.who());
    };
  }
}
