package org.opentrellis.core.message;

import org.opentrellis.core.journey.FileName;

/** Where a link leads. */
public sealed interface Target
    permits Target.Web, Target.KeptFile, Target.Cart, Target.Choices, Target.Unsubscribe {

  /** Whether clicks on it are told to journeys: whoever leaves is not counted as interested. */
  default boolean counts() {
    return switch (this) {
      case Web web -> true;
      case KeptFile file -> true;
      case Cart cart -> true;
      case Choices choices -> false;
      case Unsubscribe unsubscribe -> false;
    };
  }

  /**
   * A page on the web.
   *
   * @param address as it was typed; what is wrong with it is for {@link WebAddress} to say, so that
   *     half a word can be kept
   */
  record Web(String address) implements Target {
    public Web {
      address = Limits.line("an address", address, 2000).strip();
    }
  }

  /** A file that the account keeps. */
  record KeptFile(FileName file) implements Target {}

  /** The cart of whoever gets the message, as they left it. */
  record Cart() implements Target {}

  /** The page on which they choose what they get. */
  record Choices() implements Target {}

  /** The page on which they stop it. */
  record Unsubscribe() implements Target {}
}
