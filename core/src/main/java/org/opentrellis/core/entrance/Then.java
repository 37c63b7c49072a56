package org.opentrellis.core.entrance;

import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.message.Limits;

/** What whoever signed up sees then. */
public sealed interface Then permits Then.Words, Then.Page, Then.Address {

  record Words(String words) implements Then {
    public Words {
      words = Limits.line("what is shown then", words, 1_000);
    }
  }

  /**
   * A page of its own.
   *
   * @param message its parts, as composed
   */
  record Page(MessageId message) implements Then {}

  /** Another address of the web. */
  record Address(String url) implements Then {
    public Address {
      url = Limits.line("a web address", url, 2_000).strip();
    }
  }
}
