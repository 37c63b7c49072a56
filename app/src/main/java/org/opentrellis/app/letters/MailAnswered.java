package org.opentrellis.app.letters;

import java.util.Optional;
import org.opentrellis.core.journey.LinkName;

/**
 * Somebody, or their mail program, did something with a mail; told in the transaction of whoever
 * noticed it.
 *
 * @param outbox of what it was
 * @param link of a click, if it has a name
 */
public record MailAnswered(long outbox, Kind kind, Optional<LinkName> link) {

  /** What was done with it. */
  public enum Kind {
    /** A program fetched the pictures ahead of any reader. */
    PRE_LOADED,
    OPENED,
    CLICKED,
    UNSUBSCRIBED
  }
}
