package org.opentrellis.core.proofreading;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.message.Manuscript;

/**
 * A subject is there and short enough for a phone: some 40 characters are seen of it (common
 * practice, no source).
 */
final class SubjectLine implements MessageCheck {
  private static final String CODE = "subject";
  private static final int SEEN = 40;

  @Override
  public List<MessageFinding> look(Proofreading proof) {
    return proof.email().flatMap(email -> of(email).stream()).toList();
  }

  private static Optional<MessageFinding> of(Manuscript.Email email) {
    if (email.subject().isBlank()) {
      return Optional.of(
          MessageFinding.error(
              CODE, Optional.empty(), "There is no subject: nobody knows what it is about."));
    }
    int length = email.subject().forNobody().length();
    return length <= SEEN
        ? Optional.empty()
        : Optional.of(
            MessageFinding.warning(
                CODE,
                Optional.empty(),
                "The subject has %d characters; a phone shows some %d of them."
                    .formatted(length, SEEN)));
  }
}
