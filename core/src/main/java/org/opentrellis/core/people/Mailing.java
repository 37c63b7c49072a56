package org.opentrellis.core.people;

/** Whether a person may be sent email, and if not, why not. */
public enum Mailing {
  MAY_BE_MAILED("may be mailed"),
  NOT_CONFIRMED("not confirmed"),
  UNSUBSCRIBED("unsubscribed"),
  BOUNCED("bounced"),
  COMPLAINED("complained");

  private final String words;

  Mailing(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** Whether somebody has left for good, as far as others are concerned. */
  public boolean gone() {
    return switch (this) {
      case MAY_BE_MAILED, NOT_CONFIRMED -> false;
      case UNSUBSCRIBED, BOUNCED, COMPLAINED -> true;
    };
  }

  /**
   * What somebody's state is once another is asked for by anybody but themselves: an import, a form
   * that somebody else fills in, a journey, or by hand. Whoever unsubscribed, complained or bounced
   * stays so, and whoever may be mailed need not confirm again.
   */
  public Mailing askedByOthers(Mailing other) {
    return switch (other) {
      case MAY_BE_MAILED -> gone() ? this : other;
      case NOT_CONFIRMED -> this;
      case UNSUBSCRIBED -> gone() ? this : other;
      case BOUNCED, COMPLAINED -> other;
    };
  }
}
