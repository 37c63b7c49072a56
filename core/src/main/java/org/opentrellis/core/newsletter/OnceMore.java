package org.opentrellis.core.newsletter;

import org.opentrellis.core.message.Limits;

/**
 * A newsletter goes once more to those who have not opened it.
 *
 * @param subject another one, so that it is not taken for the first; empty until it is written
 * @param hours after the first, 1 to 336
 */
public record OnceMore(String subject, int hours) {
  public OnceMore {
    subject = Limits.line("a subject", subject, 200);
    Newsletter.within("the hours until a newsletter goes once more", hours, 1, 336);
  }
}
