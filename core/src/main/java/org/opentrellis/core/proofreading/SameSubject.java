package org.opentrellis.core.proofreading;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.message.Manuscript;

/** Two letters under one subject look like one that came twice. */
final class SameSubject implements MessageCheck {
  @Override
  public List<MessageFinding> look(Proofreading proof) {
    return proof
        .email()
        .map(Manuscript.Email::subject)
        .filter(subject -> !subject.isBlank())
        .filter(subject -> proof.lately().stream().anyMatch(subject.forNobody()::equalsIgnoreCase))
        .map(
            subject ->
                MessageFinding.warning(
                    "same-subject",
                    Optional.empty(),
                    "One of the last %d emails has this subject, too: it looks as if it came twice."
                        .formatted(proof.lately().size())))
        .toList();
  }
}
