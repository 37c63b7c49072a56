package org.opentrellis.core.newsletter;

import java.util.Optional;
import org.opentrellis.core.journey.MessageId;

/**
 * A text that follows a newsletter to the phones of those who agreed to texts.
 *
 * @param text which one; empty until it is chosen
 * @param hours after the email, 0 to 168
 * @param to who of them gets it
 */
public record TextAfter(Optional<MessageId> text, int hours, To to) {
  public TextAfter {
    Newsletter.within(
        "the hours until a text follows", hours, to == To.ALL_WHO_AGREED ? 0 : 1, 168);
  }

  /** Who of those who agreed to texts. */
  public enum To {
    NOT_OPENED,
    NOT_CLICKED,
    ALL_WHO_AGREED
  }
}
