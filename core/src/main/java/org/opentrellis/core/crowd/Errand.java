package org.opentrellis.core.crowd;

import org.opentrellis.core.happening.Happening;

/** Something that a simulated person goes to do who comes in by themselves. */
public sealed interface Errand permits Errand.SignsUp, Errand.Confirms, Errand.Does {

  /** When, in epoch seconds. */
  long at();

  /** Fills in the form. */
  record SignsUp(long at) implements Errand {}

  /** Says by the link of a mail that it was they who signed up. */
  record Confirms(long at) implements Errand {}

  /** Does something with a message, in the shop or elsewhere. */
  record Does(Happening what) implements Errand {
    @Override
    public long at() {
      return what.at();
    }
  }
}
